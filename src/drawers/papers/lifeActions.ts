'use server';
import type { Answer } from '@/core/input';
import { addPaperNote, getPaper } from '@/data';
import { act, refuse } from '@/studio';
import { noteForm } from './lifeForm';

/** Notes a station of a paper's life. */
export async function notePaper(typed: unknown): Promise<Answer<number>> {
  return act(noteForm, typed, {}, async (v, { write, at, today }) => {
    if (v.day > today) {
      const message = `On: ${v.day} is still to come. Note it on the day, or put the day right.`;
      return refuse(message, { day: message });
    }
    if (v.station === 'tried' && v.words === '' && v.printed === '') {
      const message =
        'How it came out: a trial is what was printed, or how it came out. Say one of them.';
      return refuse(message, { words: message });
    }
    return write(async (tx) =>
      (await getPaper(tx, v.paperId))
        ? addPaperNote(tx, { ...v, photograph: null, at })
        : refuse('This paper is not in the drawer any more. What you typed is still here.'),
    );
  });
}
