'use client';
import { useState } from 'react';
import styled from 'styled-components';
import type { Standing } from '@/core/size';
import { mm } from '@/core/units';
import { Button, useAction } from '@/shell/actions';
import { LengthLine, Slide, Strips } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Small } from '@/shell/words';
import { keepStanding } from '../ruleActions';
import { standingFixed } from '../standingForm';
import type { Sizing } from '../useSizing';
import { standingWords } from '../words';

const WAYS: [Standing, string][] = [
  ['diagonal', '× diagonal'],
  ['fixed', 'One distance'],
  ['hand', 'In the hand'],
];

const Row = styled.div`
  display: flex;
  gap: 10px;
  align-items: center;
  font-size: 13px;
  color: var(--soft);
`;

/** Where people stand: by the diagonal, at one distance, or with the print in the hand. Tried here, kept for all works. */
export function StandingRule({ sizing }: { sizing: Sizing }) {
  const { rules, setStanding, tried } = sizing;
  const format = useFormat();
  const keeping = useAction(keepStanding, 'Kept as the rule for every work.', () =>
    setStanding({}),
  );
  const [wrong, setWrong] = useState(false);
  const set = (change: Parameters<typeof setStanding>[0]) =>
    setStanding((now) => ({ ...now, ...(change as object) }));
  return (
    <>
      <Strips
        label="Where people stand"
        value={rules.standing}
        options={WAYS}
        onChange={(standing) => {
          setWrong(false);
          set({ standing });
        }}
      />
      {rules.standing === 'diagonal' && (
        <Row>
          <Slide
            min={0.5}
            max={3}
            step={0.1}
            label="Standing distance, times the diagonal"
            digits={1}
            value={rules.standingFactor}
            onChange={(standingFactor) => set({ standingFactor })}
          />
          {format.number(rules.standingFactor, 1)} × the diagonal
        </Row>
      )}
      {rules.standing === 'fixed' && (
        <LengthLine
          field={standingFixed}
          value={mm(rules.standingFixedMm)}
          onChange={(length) => {
            setWrong(length === null);
            if (length !== null) set({ standingFixedMm: length });
          }}
        />
      )}
      <Problem>{keeping.problem}</Problem>
      {tried && (
        <Small>
          Tried here only.{' '}
          <Button
            $small
            $plain
            isDisabled={keeping.sending || wrong}
            onPress={() =>
              keeping.run({
                standing: rules.standing,
                standingFactor: rules.standingFactor,
                standingFixedMm: rules.standingFixedMm,
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
