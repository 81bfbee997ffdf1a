'use client';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { decimal, readField } from '@/core/input';
import { useBench } from '../figures/BenchContext';
import { Line } from './Line';
import { PickReading } from './PickReading';
import { Slide } from './Slide';

const Row = styled.div`
  display: grid;
  grid-template-columns: 82px 1fr 64px 38px;
  align-items: center;
  gap: 0 8px;
  font-size: 12.5px;
  color: var(--soft);
  small {
    font-size: 11.5px;
  }
`;

interface FigureRowProps {
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
export function FigureRow({
  label,
  unit,
  value,
  limits,
  most,
  step,
  onChange,
}: FigureRowProps) {
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
  const read = readField(field, typed, bench);
  const type = (text: string) => {
    setTyped(text);
    // Beyond its limits it is kept as typed: who reads the recipe refuses it.
    const next = field.read(text, bench);
    if (typeof next === 'number') onChange(next);
  };
  const move = (by: number) => {
    const next = Math.round((value + by * step) / step) * step;
    onChange(Math.min(greatest, Math.max(least, Number(next.toFixed(3)))));
  };
  return (
    <>
      <Row>
        <span aria-hidden>{label}</span>
        <Slide
          label={`${label}, slide`}
          reached={false}
          min={least}
          max={most ?? greatest}
          step={step}
          value={value}
          onChange={onChange}
        />
        <Line
          figure
          label={unit ? `${label}, ${unit}` : label}
          isInvalid={!read.ok}
          value={typed}
          onChange={type}
          onKeyDown={(e) => {
            const by = { ArrowUp: 1, ArrowDown: -1 }[e.key];
            if (!by) return;
            e.preventDefault();
            move(by);
          }}
        />
        <small>{read.ok ? unit : `${least} to ${greatest}`}</small>
      </Row>
      <PickReading read={read} onPick={type} />
    </>
  );
}
