'use client';
import { memo } from 'react';
import { Radio, RadioGroup } from 'react-aria-components';
import styled, { css } from 'styled-components';

/** A row of parts with lines between them, of which one or some are chosen. */
export const stripCss = css`
  display: flex;
  border: 1px solid var(--ink);
`;
export const partCss = css`
  padding: 6px 6px;
  font-size: 13px;
  cursor: pointer;
  border-left: 1px solid var(--ink);
  white-space: nowrap;
  &:first-child {
    border-left: 0;
  }
  &[data-selected] {
    background: #161616;
    color: #fff;
  }
  &[data-focus-visible] {
    outline: 2px solid var(--blue);
    outline-offset: 2px;
  }
`;

const Strip = styled(RadioGroup)`
  ${stripCss}
  width: 100%;
`;

const Part = styled(Radio)`
  ${partCss}
  flex: 1;
  text-align: center;
`;

const Exclusive = <T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}) => (
  <Strip
    aria-label={label}
    value={value}
    onChange={(v) => onChange(v as T)}
    orientation="horizontal"
  >
    {options.map(([v, text]) => (
      <Part key={v} value={v}>
        {text}
      </Part>
    ))}
  </Strip>
);

/** A few ways that exclude each other, side by side. */
export const Strips = memo(Exclusive) as typeof Exclusive;
