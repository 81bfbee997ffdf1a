'use client';
import { decimal, readField } from '@/core/input';
import { Line, Slide } from '@/shell/fields';
import { useBench } from '@/shell/figures';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';

const Row = styled.label`
  display: grid;
  grid-template-columns: 82px 1fr 64px 38px;
  align-items: center;
  gap: 0 8px;
  font-size: 12.5px;
  color: var(--soft);
  input[type='range'] {
    width: 100%;
    min-width: 0;
    accent-color: var(--blue);
  }
  input[type='text'] {
    width: 100%;
    text-align: right;
    padding: 3px 6px;
    background: #fff;
    color: #161616;
    border: 1px solid #6f6f6f;
  }
  input[aria-invalid='true'] {
    border: 2px solid var(--brick);
  }
  small {
    font-size: 11.5px;
  }
`;

interface NumberRowProps {
  label: string;
  unit?: string | undefined;
  value: number;
  limits: readonly [number, number];
  /** The end of the slide, where the whole range would make it too coarse. */
  most?: number;
  step: number;
  onChange: (value: number) => void;
}

/** A number that can be slid and typed; what is typed and no number stays until it is one. */
export function NumberRow({
  label,
  unit,
  value,
  limits,
  most,
  step,
  onChange,
}: NumberRowProps) {
  const bench = useBench();
  const [least, greatest] = limits;
  const field = useMemo(
    () => decimal(label, { min: least, max: greatest }, unit),
    [label, least, greatest, unit],
  );
  const [typed, setTyped] = useState(() => field.write(value, bench));
  useEffect(
    () => setTyped((t) => (field.read(t, bench) === value ? t : field.write(value, bench))),
    [value, field, bench],
  );
  const fits = readField(field, typed, bench).ok;
  return (
    <Row>
      {label}
      <Slide
        aria-label={`${label}, slide`}
        tabIndex={-1}
        min={limits[0]}
        max={most ?? limits[1]}
        step={step}
        value={value}
        onChange={(e) => onChange(Number(e.target.value))}
      />
      <Line
        type="text"
        inputMode="decimal"
        aria-label={unit ? `${label}, ${unit}` : label}
        aria-invalid={!fits}
        value={typed}
        onChange={(e) => {
          setTyped(e.target.value);
          // Beyond its limits it is kept as typed: who reads the recipe refuses it.
          const next = field.read(e.target.value, bench);
          if (typeof next === 'number') onChange(next);
        }}
        onKeyDown={(e) => {
          const by = { ArrowUp: 1, ArrowDown: -1 }[e.key];
          if (!by) return;
          e.preventDefault();
          const next = Math.round((value + by * step) / step) * step;
          onChange(Math.min(limits[1], Math.max(limits[0], Number(next.toFixed(3)))));
        }}
      />
      <small>{fits ? unit : `${limits[0]} to ${limits[1]}`}</small>
    </Row>
  );
}
