'use client';
import { useFormat } from '@/shell/figures';
import { Figures, splitUnit } from '@/shell/slip';
import { Sentence } from '@/shell/words';
import type { Step, Sizing } from './useSizing';
import { adviceTone, judgementWords, reopenedWords, worthWords } from './words';

/** The verdict of a size: its figures, one sentence, and what has become of it since. */
export function Verdict({ step, sizing }: { step: Step; sizing: Sizing }) {
  const format = useFormat();
  const { figures } = step.judgement;
  return (
    <>
      <Figures
        figures={[
          {
            value: format.number(figures.ppi),
            unit: '',
            label: worthWords(step.judgement, format),
            tone: step.judgement.advice === 'withdraw' ? 'brick' : undefined,
          },
          { ...splitUnit(format.distance(figures.crispFrom)), label: 'crisp from' },
          { ...splitUnit(format.distance(figures.standing)), label: 'people stand' },
        ]}
      />
      <Sentence $tone={adviceTone(step.judgement) ?? 'plain'}>
        {judgementWords(step.judgement, sizing.rules, format)}
      </Sentence>
      {step.reopened && step.decided && (
        <Sentence $tone="caution">
          {reopenedWords(step.reopened, step.decided.kind, format)}
        </Sentence>
      )}
    </>
  );
}
