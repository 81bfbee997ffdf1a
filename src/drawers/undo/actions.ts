'use server';
import { undoStep } from '@/data';
import { act } from '@/studio';
import { defineForm, optional, whole } from '@/core/input';

const WORDS: Record<string, string> = {
  alreadyUndone: 'This was taken back already.',
  nothingToUndo: 'There is nothing to take back.',
  changedSince: 'It was changed again since. Change it by hand.',
  inUse: 'Something depends on it by now: it stays.',
  gone: 'It is not there any more.',
};

const which = defineForm({ id: optional(whole('Step', { min: 1 })) });

/** Takes a step back, or the last one. Answers what it was. */
export async function undo(typed: unknown) {
  return act(which, typed, WORDS, ({ id }, { write, at }) =>
    write((tx) => undoStep(tx, id, at)),
  );
}
