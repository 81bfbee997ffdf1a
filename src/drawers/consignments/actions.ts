'use server';
import { CHANNELS, usualTerms } from '@/core/price';
import {
  addConsignment,
  channelTermsNow,
  endConsigned,
  getConsignment,
  getEdition,
  pricesOf,
  sizesOfWorks,
  takeOrder,
} from '@/data';
import type { Consignment, LentPrint, Reading } from '@/data';
import { minor } from '@/core/units';
import type { Minor } from '@/core/units';
import { act, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import { consignForm, consignmentForm, lentForm, soldForm } from './forms';
import type { LentItem } from './forms';
import { WORDS } from './words';

const GALLERY = CHANNELS.find((c) => c.id === 'gallery')!;
const GONE = 'This consignment is not there. Open Consignments anew.';

/** A print with what its size cost to make, as its price was kept; null where no edition has it. */
async function costed(db: Reading, item: LentItem, currency: string) {
  const edition = await getEdition(db, item.editionId);
  const print = edition?.impressions.find(
    (i) => i.series === item.series && i.number === item.number,
  );
  if (!edition || !print) return null;
  const kept = (await pricesOf(db, edition.workId)).find(
    (p) => p.sizeKey === print.sizeKey && p.currency === currency,
  );
  return {
    ...item,
    price: minor(item.price),
    workId: edition.workId,
    cost: kept?.cost ?? null,
  };
}

/** Lends numbered prints out to be sold; answers the number of the consignment. */
export async function consign(typed: unknown): Promise<Answer<string>> {
  return act(consignForm, typed, WORDS, async (v, { settings, write, at, today }) => {
    const { currency } = settings;
    const { items, commission, framing, daysUntilPaid, ...to } = v;
    const keys = new Set(items.map((i) => `${i.editionId}:${i.series}:${i.number}`));
    if (keys.size < items.length)
      return refuse('Prints: one of them is chosen twice. Choose each once.');
    if (v.fetchOn < today) {
      const message = 'Fetch back by: it is over already. Give a day to come.';
      return refuse(message, { fetchOn: message });
    }
    return write(async (tx) => {
      const prints = [];
      for (const item of items) {
        const print = await costed(tx, item, currency);
        if (!print)
          return refuse('Prints: one of them was never numbered. Choose them anew.');
        prints.push(print);
      }
      const kept = (await channelTermsNow(tx)).find(
        (t) => t.channel === GALLERY.id && t.currency === currency,
      );
      const usual = kept?.terms ?? usualTerms(GALLERY, currency);
      const terms = {
        ...usual,
        ...{ commission, framing, daysUntilPaid, saleOrReturn: true },
      };
      const row = { ...to, channel: GALLERY.id, terms, currency, outOn: today, at };
      return addConsignment(tx, row, prints);
    });
  });
}

const numbered = ({ editionId, series, impression, workId }: LentPrint) => ({
  ...{ editionId, series, number: impression, workId },
});

/** A print of a consignment that is still out; null where it is none. */
const outOf = (lent: Consignment, id: number): LentPrint | null =>
  lent.prints.find((p) => p.id === id && p.end === null) ?? null;

/** The line of the order through which a lent print is sold. */
async function lineOf(db: Reading, print: LentPrint, price: Minor, currency: string) {
  const { editionId, series, impression, workId, sizeKey } = print;
  const size = (await sizesOfWorks(db, [workId])).find((s) => s.sizeKey === sizeKey);
  return {
    kind: series === 'ap' ? ('artistsProof' as const) : ('impression' as const),
    ...{ workId, sizeKey, editionId, series, impression },
    paperId: size?.paperId ?? null,
    ...{ name: null, mass: null, thickness: null, quantity: 1 },
    ...{ price, currency },
  };
}

/** Takes the order for a print that was sold where it hangs; answers the order's number. */
export async function sellThere(typed: unknown): Promise<Answer<string>> {
  return act(soldForm, typed, WORDS, async (v, { write, at, today }) =>
    write(async (tx) => {
      const lent = await getConsignment(tx, v.number);
      if (!lent) return refuse(GONE);
      const print = outOf(lent, v.print);
      if (!print) return refuse(WORDS.notOut!);
      const { name, street, town, country, channel, number, currency } = lent;
      const order = {
        customer: { name, street, town, country },
        channel,
        wish: '',
        note: `Hangs there, ${number}: it is given in hand.`,
        extras: [],
        placedAt: at,
        dueOn: today,
      };
      const taken = await takeOrder(tx, order, await lineOf(tx, print, v.price, currency));
      return taken.number;
    }),
  );
}

/** Notes that a print was fetched back: it is here and free again. */
export async function fetchBack(typed: unknown): Promise<Answer<null>> {
  return act(lentForm, typed, WORDS, async (v, { write, at }) =>
    write(async (tx) => {
      const lent = await getConsignment(tx, v.number);
      if (!lent) return refuse(GONE);
      const print = outOf(lent, v.print);
      if (!print) return refuse(WORDS.notOut!);
      if (print.order !== null) return refuse(inOrderWords(print.order));
      await endConsigned(tx, numbered(print), { kind: 'fetched', lineId: null, at });
      return null;
    }),
  );
}

/** The same of all that is out and in no order; answers how many. */
export async function fetchAll(typed: unknown): Promise<Answer<number>> {
  return act(consignmentForm, typed, WORDS, async (v, { write, at }) =>
    write(async (tx) => {
      const lent = await getConsignment(tx, v.number);
      if (!lent) return refuse(GONE);
      const free = lent.prints.filter((p) => p.end === null && p.order === null);
      if (free.length === 0) return refuse(WORDS.notOut!);
      for (const print of free)
        await endConsigned(tx, numbered(print), { kind: 'fetched', lineId: null, at });
      return free.length;
    }),
  );
}

const inOrderWords = (order: string): string =>
  `This print is in order ${order}. Give it in hand there, or take it out of the order first.`;
