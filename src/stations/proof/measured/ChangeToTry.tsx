'use client';
import { useState } from 'react';
import type { ProposedChange } from '@/core/proof';
import { Button, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { NextRecipe } from '../NextRecipe';
import { keepChange } from '../actions';
import type { ProofView } from '../view';
import { movesWords, outOfReachWords, ruleMovedWords } from './words';

/** The change to try, and what is made of it. */
export function ChangeToTry({
  view,
  change,
  of = {},
}: {
  view: ProofView;
  change: ProposedChange;
  /** By what it was found, where not by the strip. */
  of?: Record<string, string>;
}) {
  const { work, round } = view;
  const format = useFormat();
  const [kept, setKept] = useState<number | null>(null);
  const { run, sending, problem } = useAction(
    keepChange,
    'Kept as the next recipe.',
    setKept,
  );
  if (!round) return null;
  const out = outOfReachWords(change.colours, format);
  return (
    <>
      <SectionLabel>The change to try</SectionLabel>
      {change.moved.length === 0 ? (
        <Sentence>
          Nothing is to be changed: what differs is noise, or out of reach.
        </Sentence>
      ) : (
        <>
          <Sentence>{movesWords(change.moved, format)}.</Sentence>
          <Small>
            Expected to leave ΔE00 {format.number(change.left, 1)} of{' '}
            {format.number(change.before, 1)} to a good print on this paper,{' '}
            {format.number(change.toMaster.left, 1)} of{' '}
            {format.number(change.toMaster.before, 1)} to the original.
          </Small>
          {round.recipe && ruleMovedWords(round.recipe) && (
            <Small>{ruleMovedWords(round.recipe)}</Small>
          )}
          {kept === null ? (
            <Button
              isDisabled={sending}
              onPress={() =>
                run({ workId: String(work.id), roundId: String(round.id), ...of })
              }
            >
              Make it the next recipe
            </Button>
          ) : (
            <NextRecipe view={view} paperId={round.paperId} recipeId={kept} />
          )}
          <Problem>{problem}</Problem>
        </>
      )}
      {out && <Small>{out}</Small>}
    </>
  );
}
