'use client';
import { Choose, Line } from '@/shell/fields';
import styled from 'styled-components';

const Row = styled.div`
  display: grid;
  grid-template-columns: 82px 1fr;
  align-items: center;
  gap: 8px;
  font-size: 12.5px;
  color: var(--soft);
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
    <span aria-hidden>{label}</span>
    <Choose
      label={label}
      value={value}
      options={options}
      onChange={onChange}
      style={{ minWidth: 0 }}
    />
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
    <span aria-hidden>{label}</span>
    <Line label={label} isInvalid={invalid ?? false} value={value} onChange={onChange} />
  </Row>
);
