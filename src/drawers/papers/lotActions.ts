'use server';
import { countLot, getLot, getPaper, putBack, receiveLot, takeFromLot } from '@/data';
import type { Lot } from '@/data';
import { act, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import { wholePrice } from '@/core/paper';
import { formatRefused } from './formatRefused';
import { countForm, lotForm, putBackForm, takeForm } from './lotForm';

const WORDS: Record<string, string> = {
  noLot: 'This lot is not in the drawer any more.',
  lotShort:
    'There is not so much left of this lot: something else took of it meanwhile. See what is left, then note it again.',
  gone: 'There is nothing to put back here.',
  backAlready: 'It was put back already.',
};

/** Notes a delivery: sheets of one size, or a roll. */
export async function receivePaper(typed: unknown): Promise<Answer<number>> {
  return act(lotForm, typed, WORDS, async (value, { settings, write, at }) => {
    const { paperId, kind, pieces, per, price, ...lot } = value;
    const refused = formatRefused(value);
    if (refused) return refused;
    if (kind === 'roll' && pieces !== 1) {
      const message = 'Sheets: a roll is one. Note each roll as a delivery of its own.';
      return refuse(message, { pieces: message });
    }
    return write(async (tx) => {
      if (!(await getPaper(tx, paperId)))
        return refuse('This paper is not in the drawer any more.');
      const { currency } = settings;
      return receiveLot(tx, {
        ...lot,
        price: wholePrice(price, per, lot.height),
        paperId,
        kind,
        pieces,
        currency,
        leftOver: false,
        at,
      });
    });
  });
}

/** What was typed of a lot, in sheets or mm; a sentence at its field where the other was. */
function amountIn(
  lot: Lot,
  { sheets, run }: { sheets: number | null; run: number | null },
) {
  const amount = lot.kind === 'roll' ? run : sheets;
  if (amount !== null) return amount;
  return lot.kind === 'roll'
    ? refuse('Length: say how much of the roll.', {
        run: 'Length: say how much of the roll.',
      })
    : refuse('Sheets: say how many.', { sheets: 'Sheets: say how many.' });
}

/** Takes paper out of a lot by hand. */
export async function takeOfLot(typed: unknown): Promise<Answer<null>> {
  return act(
    takeForm,
    typed,
    WORDS,
    async ({ lotId, kind, reason, ...of }, { write, at }) =>
      write(async (tx) => {
        const lot = await getLot(tx, lotId);
        if (!lot) return refuse(WORDS.noLot!);
        const amount = amountIn(lot, of);
        if (typeof amount !== 'number') return amount;
        await takeFromLot(tx, { lotId, amount, kind, reason, at });
        return null;
      }),
  );
}

/** Notes what was counted; the difference is kept with its reason. */
export async function countOfLot(typed: unknown): Promise<Answer<null>> {
  return act(countForm, typed, WORDS, async ({ lotId, reason, ...of }, { write, at }) =>
    write(async (tx) => {
      const lot = await getLot(tx, lotId);
      if (!lot) return refuse(WORDS.noLot!);
      const counted = amountIn(lot, of);
      if (typeof counted !== 'number') return counted;
      await countLot(tx, { lotId, counted, reason, at });
      return null;
    }),
  );
}

/** Puts back what a print took that was not made. */
export async function putPaperBack(typed: unknown): Promise<Answer<null>> {
  return act(putBackForm, typed, WORDS, async ({ useId }, { write, at }) =>
    write(async (tx) => {
      await putBack(tx, { useId, reason: 'not printed', at });
      return null;
    }),
  );
}
