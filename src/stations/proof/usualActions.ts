'use server';
import type { Answer } from '@/core/input';
import { changedRecipe, withUsual } from '@/core/proof';
import { addRecipe, getPaper, getWork, printFilesOf } from '@/data';
import { formatOf } from '@/shell/figures/format';
import { act, refuse } from '@/studio';
import { ruleMovedWords } from './measured/words';
import { usualForm } from './proofForms';
import { usualOn } from './usual';
import { usualWords } from './words';

/** Keeps a recipe that begins with what other works needed on a paper: that of the size's newest file, changed. */
export async function keepUsual(typed: unknown): Promise<Answer<number>> {
  return act(usualForm, typed, {}, async (v, { studio, settings, write, at }) => {
    const { workId, paperId, sizeKey } = v;
    const db = studio.db.read;
    const [work, paper, files, usual] = await Promise.all([
      getWork(db, workId),
      getPaper(db, paperId),
      printFilesOf(db, workId),
      usualOn(db, workId, paperId),
    ]);
    const file = files.find((f) => f.sizeKey === sizeKey && f.channels === 3);
    if (!work || !paper || !usual || usual.changed.changes.length === 0)
      return refuse('What other works needed is not there any more. Open Proof anew.');
    if (!file)
      return refuse(
        'There is no print file of this size yet. Write one at Prepare; its recipe is changed then.',
      );
    const words = usualWords(usual, formatOf(settings));
    const remarks = `${words} ${ruleMovedWords(file.recipe)}`.trim().slice(0, 500);
    return write((tx) =>
      addRecipe(tx, {
        name: `${work.title}, as usual on ${paper.name}`.slice(0, 60),
        recipe: changedRecipe(file.recipe, withUsual(file.recipe.steps, usual.changed)),
        remarks,
        fromId: null,
        at,
      }),
    ).then((row) => row.id);
  });
}
