'use client';
import { Tick } from '@/shell/fields';
import type { Step } from '../useSizing';

/** The tick of a line: sizes that are offered or withdrawn together. */
export const Chosen = ({
  step,
  picked,
  chosen,
  onChoose,
}: {
  step: Step;
  picked: string | null;
  chosen: ReadonlySet<string>;
  onChoose: (key: string) => void;
}) => (
  // A press on it picks no line.
  <span role="presentation" onClick={(e) => e.stopPropagation()}>
    <Tick
      // One stop for the whole ladder: the tick of the line that is picked.
      reached={step.key === picked}
      label={`Choose ${step.label}`}
      checked={chosen.has(step.key)}
      onChange={() => onChoose(step.key)}
    />
  </span>
);
