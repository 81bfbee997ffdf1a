'use client';
import { useState } from 'react';
import { Button, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Small } from '@/shell/words';
import { NextRecipe } from './NextRecipe';
import { keepUsual } from './usualActions';
import type { ProofView } from './view';
import { usualWords } from './words';

/** What other works on this paper needed, and the way to begin with it. */
export function UsualChanges({ view }: { view: ProofView }) {
  const { usual, rounds, picked, work } = view;
  const format = useFormat();
  const [kept, setKept] = useState<number | null>(null);
  const { run, sending, problem } = useAction(keepUsual, 'Kept as a recipe.', setKept);
  if (!usual || !picked) return null;
  const { notes, changed, paperId } = usual;
  const begun = rounds.some((r) => r.paperId === paperId);
  return (
    <>
      {changed.changes.length > 0 && (
        <>
          <Small>{usualWords(usual, format)}</Small>
          {!begun && view.file && kept === null && (
            <Button
              $plain
              $small
              isDisabled={sending}
              onPress={() =>
                run({
                  workId: String(work.id),
                  paperId: String(paperId),
                  sizeKey: picked.key,
                })
              }
            >
              Begin with that
            </Button>
          )}
          {kept !== null && <NextRecipe view={view} paperId={paperId} recipeId={kept} />}
          <Problem>{problem}</Problem>
        </>
      )}
      {notes.length > 0 && (
        <Small>On this paper other works needed: {notes.join('; ')}.</Small>
      )}
    </>
  );
}
