import { isDeepStrictEqual } from 'node:util';
import { revalidatePath } from 'next/cache';
import { Refused, noteUndo, readSettings } from '@/data';
import type { BenchSettings, UndoStep, Writing } from '@/data';
import { faultWords } from '../words/faults';
import { dayIn } from '@/core/days';
import { benchOfWord, benchWord } from '@/core/input';
import type { Answer, FormDefinition } from '@/core/input';
import { studio } from '../open/open';
import { now } from '../running/studio';
import type { Studio } from '../running/studio';
import { readAtTheDoor } from './validate';

export const refuse = (
  message: string,
  fields: Record<string, string> = {},
  fresh?: Record<string, string>,
): Answer<never> => ({
  ok: false,
  message,
  fields,
  ...(fresh ? { fresh } : {}),
});

export interface ActionTools {
  studio: Studio;
  settings: BenchSettings;
  at: string;
  /** The day that it is where the studio is. */
  today: string;
  write: <T>(work: (tx: Writing) => Promise<T>) => Promise<T>;
  /** Keeps how to take this step back, within its write; the answer then offers to. */
  undoable: (tx: Writing, label: string, step: UndoStep) => Promise<void>;
}

/** Carries a refusal out of a write, so that what was written before it is taken back. */
class RefusedWrite extends Error {
  constructor(readonly result: Answer<never>) {
    super('refused');
  }
}

/** One write: kept whole, or, where the work answers with a refusal, not at all. */
async function wholly<T>(open: Studio, work: (tx: Writing) => Promise<T>): Promise<T> {
  try {
    return await open.db.write(async (tx) => {
      const result = await work(tx);
      if (isRefusal(result)) throw new RefusedWrite(result);
      return result;
    });
  } catch (error) {
    if (error instanceof RefusedWrite) return error.result as T;
    throw error;
  }
}

/**
 * Whether what was typed on a page means something else by now: the page was written under
 * another bench, and under that one it reads otherwise, or its amounts are of another currency.
 */
function meantOtherwise<T>(
  form: FormDefinition<T>,
  typed: unknown,
  settings: BenchSettings,
): boolean {
  if (typeof typed !== 'object' || typed === null || !('bench' in typed)) return false;
  if (typed.bench === benchWord(settings)) return false;
  const then = benchOfWord(typed.bench);
  if (then === null || then.currency !== settings.currency) return true;
  if (then.sample !== settings.sample) return true;
  return !isDeepStrictEqual(form.read(typed, then), form.read(typed, settings));
}

/**
 * The one way in: reads and validates what was typed, runs the write, puts a refused rule
 * into the room's words, and makes the views read again.
 */
export async function act<T, R>(
  form: FormDefinition<T>,
  typed: unknown,
  words: Record<string, string>,
  run: (value: T, tools: ActionTools) => Promise<R | Answer<never>>,
): Promise<Answer<R>> {
  const open = await studio();
  const settings = await readSettings(open.db.read);
  if (meantOtherwise(form, typed, settings))
    return refuse(
      'Units, currency, the way figures are written, or the studio that is open were changed elsewhere since this page was opened. What you typed is still here: see whether it still means the same, then send it again.',
    );
  const read = readAtTheDoor(form, typed, settings);
  if (!read.ok)
    return refuse(Object.values(read.fields)[0] ?? 'Nothing was given.', read.fields);
  const at = now();
  let undo: number | undefined;
  try {
    const result = await run(read.value, {
      studio: open,
      settings,
      at,
      today: dayIn(at, settings.timeZone),
      write: (work) => wholly(open, work),
      undoable: async (tx, label, step) => {
        undo = await noteUndo(tx, { at, label, step });
      },
    });
    if (isRefusal(result)) return result;
    revalidatePath('/', 'layout');
    return { ok: true, value: result, ...(undo === undefined ? {} : { undo }) };
  } catch (error) {
    if (error instanceof Refused)
      return refuse(words[error.code] ?? `This is not possible: ${error.code}.`);
    const fault = faultWords(error);
    if (fault) return refuse(fault);
    throw error;
  }
}

const isRefusal = (result: unknown): result is Answer<never> =>
  typeof result === 'object' && result !== null && 'ok' in result && result.ok === false;
