'use client';
import styled from 'styled-components';
import { Line } from '../fields/Line';
import { Small } from '../words';

const Held = styled.div`
  display: grid;
  gap: 4px;
`;

/** Room to say why something is done though a rule speaks against it; it is kept in the log. */
export const Overrule = ({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) => (
  <Held>
    <Small aria-hidden>{label} (kept in the log)</Small>
    <Line label={label} value={value} onChange={onChange} />
  </Held>
);
