'use client';
import styled from 'styled-components';
import type { FieldRead } from '@/core/input';
import { Button } from '../actions/Button';

const Row = styled.span`
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px;
  font-size: 12.5px;
  color: var(--brick);
`;

/** What was typed may mean: each reading as a press. Nothing where it is certain. */
export const PickReading = ({
  read,
  onPick,
}: {
  read: FieldRead<unknown>;
  onPick: (typed: string) => void;
}) => {
  const readings = (!read.ok && read.readings) || [];
  if (readings.length === 0) return null;
  return (
    <Row role="group" aria-label="What is meant">
      meant is
      {readings.map((reading) => (
        <Button key={reading} $plain $small onPress={() => onPick(reading)}>
          {reading}
        </Button>
      ))}
    </Row>
  );
};
