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
  <Tick
    // One stop for the whole ladder: the tick of the line that is picked.
    tabIndex={step.key === picked ? 0 : -1}
    aria-label={`Choose ${step.label}`}
    checked={chosen.has(step.key)}
    onChange={() => onChoose(step.key)}
    onClick={(e) => e.stopPropagation()}
  />
);
