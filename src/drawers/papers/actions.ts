'use server';
import { gsm, mm } from '@/core/units';
import {
  addPaper,
  addPaperFormat,
  added,
  editRow,
  getPaper,
  paperNamed,
  removeRow,
} from '@/data';
import { act, refuse, staleForm } from '@/studio';
import type { Answer } from '@/core/input';
import { bringForm, discontinueForm, editPaperForm } from './paperForm';
import { paperForm, paperWritten, permanenceFault, removePaperForm } from './paperForm';
import type { PaperInput } from './paperForm';
import { readPaperList } from './paperList';

const WORDS: Record<string, string> = {
  gone: 'This paper was taken out of the drawer meanwhile. What you typed is still here.',
  inUse:
    'Proofs, prints, orders or profiles are of this paper. Only a paper that nothing depends on can be taken out.',
};

const nameTaken = (name: string) => {
  const message = `Name: there is a paper “${name}” in the drawer already. Give this one another name.`;
  return refuse(message, { name: message });
};

const stored = ({
  weight,
  thickness,
  leastRoll,
  acidFree,
  scuffs,
  ...rest
}: PaperInput) => ({
  ...rest,
  weight: gsm(weight),
  thickness: mm(thickness),
  leastRoll: leastRoll === null ? null : mm(leastRoll),
  acidFree: acidFree === 'yes',
  scuffs: scuffs === 'yes',
});

/** A bare figure of permanence is refused, with the reason. */
function bare(paper: PaperInput) {
  const fault = permanenceFault(paper);
  return fault && refuse(fault.words, { [fault.field]: fault.words });
}

/** Adds a paper to the drawer. */
export async function createPaper(typed: unknown): Promise<Answer<number>> {
  return act(paperForm, typed, {}, async (v, { settings, write, at, today, undoable }) =>
    write(async (tx) => {
      if (await paperNamed(tx, v.name)) return nameTaken(v.name);
      const fault = bare(v);
      if (fault) return fault;
      const { currency } = settings;
      const more = { currency, permanence: '', priceOn: today, createdAt: at };
      const id = await addPaper(tx, { ...stored(v), ...more });
      await undoable(tx, `laying in ${v.name}`, added('paper', id));
      return id;
    }),
  );
}

/** Changes what is noted of a paper; refused, with both values, when it was changed meanwhile. */
export async function editPaper(typed: unknown): Promise<Answer<number>> {
  return act(
    editPaperForm,
    typed,
    WORDS,
    async (value, { settings, write, at, today, undoable }) => {
      const { paperId, seen, price, ...fields } = value;
      return write(async (tx) => {
        const now = await getPaper(tx, paperId);
        if (!now) return refuse(WORDS.gone!);
        const fault = bare({ ...fields, price: now.price });
        if (fault) return fault;
        // Left empty, the price stays what it is, in the currency that it was kept in.
        const { currency } = settings;
        const same = price === now.price && currency === now.currency;
        const priced = price === null || same ? now : { price, currency, priceOn: today };
        const paper = {
          ...stored({ ...fields, price: priced.price }),
          currency: priced.currency,
          priceOn: priced.priceOn,
        };
        const namesake = await paperNamed(tx, paper.name);
        if (namesake && namesake.id !== paperId) return nameTaken(paper.name);
        const own = paperWritten({ ...now, ...paper }, settings);
        const stale = staleForm(seen, paperWritten(now, settings), own, paperForm.titles);
        if (stale) return stale;
        const step = await editRow(tx, 'paper', paperId, paper, { at, name: paper.name });
        await undoable(tx, `changing ${paper.name}`, step);
        return paperId;
      });
    },
  );
}

/** Notes that a paper is no longer made, and what takes its place; or that it is made again. */
export async function discontinuePaper(typed: unknown): Promise<Answer<null>> {
  return act(discontinueForm, typed, WORDS, async (value, { write, at, undoable }) => {
    const { paperId, discontinued, replacementId } = value;
    return write(async (tx) => {
      const paper = await getPaper(tx, paperId);
      if (!paper) return refuse(WORDS.gone!);
      const other = replacementId === null ? null : await getPaper(tx, replacementId);
      if (other === undefined || other?.id === paperId || other?.discontinuedAt) {
        const message =
          'Replaced by: choose another paper of the drawer that is still made, or none yet.';
        return refuse(message, { replacementId: message });
      }
      const after =
        discontinued === 'yes'
          ? { discontinuedAt: paper.discontinuedAt ?? at, replacementId }
          : { discontinuedAt: null, replacementId: null };
      const step = await editRow(tx, 'paper', paperId, after, { at, name: paper.name });
      await undoable(tx, `changing ${paper.name}`, step);
      return null;
    });
  });
}

/** Takes a paper that nothing depends on out of the drawer. */
export async function removePaper(typed: unknown): Promise<Answer<null>> {
  return act(
    removePaperForm,
    typed,
    WORDS,
    async ({ paperId }, { write, at, undoable }) => {
      await write(async (tx) => {
        const name = (await getPaper(tx, paperId))?.name ?? '';
        const step = await removeRow(tx, 'paper', paperId, { at, name });
        await undoable(tx, `taking out ${name}`, step);
      });
      return null;
    },
  );
}

/** Takes in papers from a CSV list: all of it, or, where a line is wrong, none. */
export async function bringPapers(typed: unknown): Promise<Answer<number>> {
  return act(
    bringForm,
    typed,
    {},
    async (value, { settings, write, at, today, undoable }) => {
      const read = readPaperList(value.list, settings);
      if (!read.ok) return refuse(read.problems.join('\n'), { list: read.problems[0]! });
      return write(async (tx) => {
        const ids: number[] = [];
        for (const { line, paper, formats } of read.papers) {
          if (await paperNamed(tx, paper.name)) {
            const message = `Line ${line}: there is a paper “${paper.name}” in the drawer already. Nothing of the list was taken in.`;
            return refuse(message, { list: message });
          }
          const { currency } = settings;
          const more = { currency, permanence: '', priceOn: today, createdAt: at };
          const paperId = await addPaper(tx, { ...stored(paper), ...more });
          ids.push(paperId);
          for (const { sheetWidth: width, sheetHeight: height, ...format } of formats) {
            const { kind, core, price, supplier } = format;
            await addPaperFormat(tx, {
              ...{ paperId, kind, width, height, core, price, supplier, currency },
              ...{ sold: true, day: today, at },
            });
          }
        }
        // Prices that came along are facts, and stay.
        if (read.papers.every((p) => p.formats.length === 0))
          await undoable(tx, `a list of ${ids.length} papers`, added('paper', ...ids));
        return read.papers.length;
      });
    },
  );
}
