'use client';
import { Choose, Line } from '@/shell/fields';
import styled from 'styled-components';

const Row = styled.label`
  display: grid;
  grid-template-columns: 82px 1fr;
  align-items: center;
  gap: 8px;
  font-size: 12.5px;
  color: var(--soft);
  select,
  input[type='text'] {
    min-width: 0;
    width: 100%;
    padding: 4px 3px;
    background: #fff;
    color: #161616;
    border: 1px solid #6f6f6f;
  }
  input[aria-invalid='true'] {
    border: 2px solid var(--brick);
  }
`;

/** One of a list, that holds at once. */
export const PlainChoice = ({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string;
  options: readonly (readonly [value: string, label: string])[];
  onChange: (value: string) => void;
}) => (
  <Row>
    {label}
    <Choose value={value} onChange={(e) => onChange(e.target.value)}>
      {options.map(([v, text]) => (
        <option key={v} value={v}>
          {text}
        </option>
      ))}
    </Choose>
  </Row>
);

/** A word or two that hold at once. */
export const PlainWords = ({
  label,
  value,
  invalid,
  onChange,
}: {
  label: string;
  value: string;
  invalid?: boolean;
  onChange: (value: string) => void;
}) => (
  <Row>
    {label}
    <Line
      type="text"
      aria-invalid={invalid ?? false}
      value={value}
      onChange={(e) => onChange(e.target.value)}
    />
  </Row>
);
