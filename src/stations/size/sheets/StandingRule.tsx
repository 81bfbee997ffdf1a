'use client';
import { parseLength } from '@/core/input';
import { useState } from 'react';
import styled from 'styled-components';
import type { Standing } from '@/core/size';
import { Button, useAction } from '@/shell/actions';
import { Line, Slide, Strips } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Small } from '@/shell/words';
import { keepStanding } from '../ruleActions';
import type { Sizing } from '../useSizing';
import { standingWords } from '../words';

const WAYS: [Standing, string][] = [
  ['diagonal', '× diagonal'],
  ['fixed', 'One distance'],
  ['hand', 'In the hand'],
];
const NEAREST_MM = 300;
const FARTHEST_MM = 30_000;

const Row = styled.label`
  display: flex;
  gap: 10px;
  align-items: center;
  font-size: 13px;
  color: var(--soft);
  input[type='range'] {
    flex: 1;
    min-width: 0;
    accent-color: #1c4a78;
  }
  input[type='text'] {
    width: 110px;
    padding: 5px 7px;
    text-align: right;
    border: 1px solid #6f6f6f;
    background: #fff;
  }
`;

/** Where people stand: by the diagonal, at one distance, or with the print in the hand. Tried here, kept for all works. */
export function StandingRule({ sizing }: { sizing: Sizing }) {
  const { rules, setStanding, tried } = sizing;
  const { units } = useBench();
  const format = useFormat();
  const keeping = useAction(keepStanding, 'Kept as the rule for every work.', () =>
    setStanding({}),
  );
  const [typed, setTyped] = useState(format.distance(rules.standingFixedMm));
  const fixed = parseLength(typed, units);
  const wrong =
    rules.standing !== 'fixed'
      ? null
      : fixed === null
        ? `Distance: “${typed}” cannot be read. Give 2 m or 6 ft.`
        : fixed < NEAREST_MM || fixed > FARTHEST_MM
          ? `Distance: ${format.distance(fixed)} is no distance to look at a print from. Give ${format.distance(NEAREST_MM)} to ${format.distance(FARTHEST_MM)}.`
          : null;
  const set = (change: Parameters<typeof setStanding>[0]) =>
    setStanding((now) => ({ ...now, ...(change as object) }));
  return (
    <>
      <Strips
        label="Where people stand"
        value={rules.standing}
        options={WAYS}
        onChange={(standing) => set({ standing })}
      />
      {rules.standing === 'diagonal' && (
        <Row>
          <Slide
            min={0.5}
            max={3}
            step={0.1}
            aria-label="Standing distance, times the diagonal"
            value={rules.standingFactor}
            onChange={(e) => set({ standingFactor: Number(e.target.value) })}
          />
          {format.number(rules.standingFactor, 1)} × the diagonal
        </Row>
      )}
      {rules.standing === 'fixed' && (
        <Row>
          <span style={{ flex: 1 }}>They stand at</span>
          <Line
            type="text"
            aria-label="They stand at"
            aria-invalid={wrong !== null}
            value={typed}
            onChange={(e) => {
              setTyped(e.target.value);
              const length = parseLength(e.target.value, units);
              if (length !== null && length >= NEAREST_MM && length <= FARTHEST_MM)
                set({ standingFixedMm: length });
            }}
          />
        </Row>
      )}
      <Problem>{wrong ?? keeping.problem}</Problem>
      {tried && (
        <Small>
          Tried here only.{' '}
          <Button
            $small
            $plain
            isDisabled={keeping.sending || wrong !== null}
            onPress={() =>
              keeping.run({
                standing: rules.standing,
                standingFactor: String(rules.standingFactor),
                standingFixedMm: `${rules.standingFixedMm} mm`,
              })
            }
          >
            Keep {standingWords(rules, format)} for all works
          </Button>
        </Small>
      )}
    </>
  );
}
