'use client';
import { Fold, FormFields } from '@/shell/fields';
import type { Form } from '@/shell/fields';
import { Small } from '@/shell/words';
import type { ladderForm } from './ladderForm';
import type { LadderKnown } from './ladderTypes';

/** How a size is sold beside the plain print: on another paper, framed. */
export const Variants = ({
  field,
  known,
  framing,
  other,
}: {
  field: { form: Form; of: typeof ladderForm };
  known: LadderKnown;
  /** What mat and frame of the picked size cost; null: not said. */
  framing: number | null;
  /** Whether another paper is chosen. */
  other: boolean;
}) => (
  <Fold title="Other paper, framed">
    <FormFields
      {...field}
      only={other ? ['otherPaper', 'otherTimes'] : ['otherPaper']}
      options={{
        otherPaper: [
          ['', 'no other'],
          ...known.papers.map((p) => [p.name, p.name] as const),
        ],
      }}
    />
    {framing === null ? (
      <Small>
        Framed ones stand here once Finish keeps what mat and frame of this size cost, where
        it is asked for.
      </Small>
    ) : (
      <FormFields {...field} only={['framedTimes', 'framedMore']} />
    )}
  </Fold>
);
