'use client';
import { useEffect, useRef } from 'react';
import { Slider, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';

const Face = styled(Slider)`
  flex: 1;
  min-width: 0;
  width: 100%;
`;

const Track = styled(SliderTrack)`
  height: 20px;
  margin: 0 7px;
  cursor: pointer;
  &::before {
    content: '';
    position: absolute;
    left: -7px;
    right: -7px;
    top: 9px;
    height: 2px;
    background: var(--soft);
  }
`;

const Thumb = styled(SliderThumb)`
  top: 10px;
  width: 14px;
  height: 14px;
  border-radius: 50%;
  background: var(--blue);
  border: 1px solid #fff;
  &[data-focus-visible] {
    outline: 2px solid var(--blue);
    outline-offset: 2px;
  }
  @media (forced-colors: active) {
    forced-color-adjust: none;
    background: Highlight;
  }
`;

/** A figure that is slid. */
export const Slide = ({
  label,
  min,
  max,
  step = 1,
  value,
  onChange,
  digits,
  reached = true,
}: {
  label: string;
  min: number;
  max: number;
  step?: number;
  value: number;
  onChange: (value: number) => void;
  /** Decimal places as it is said. */
  digits?: number;
  /** Whether the tab key stops at it: not where the figure beside it is typed. */
  reached?: boolean;
}) => {
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (input.current) input.current.tabIndex = reached ? 0 : -1;
  }, [reached]);
  return (
    <Face
      aria-label={label}
      minValue={min}
      maxValue={max}
      step={step}
      value={Math.min(max, Math.max(min, value))}
      onChange={(v) => onChange(v as number)}
      {...(digits === undefined
        ? {}
        : { formatOptions: { maximumFractionDigits: digits } })}
    >
      <Track>
        <Thumb inputRef={input} />
      </Track>
    </Face>
  );
};
