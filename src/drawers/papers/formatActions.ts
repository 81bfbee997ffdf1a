'use server';
import type { Answer } from '@/core/input';
import { sameFormat, usualFormat, wholePrice } from '@/core/paper';
import { mm } from '@/core/units';
import { addPaperFormat, formatsOf, getPaper } from '@/data';
import { act, refuse } from '@/studio';
import { formatForm, formatGoneForm } from './formatForm';
import { formatRefused } from './formatRefused';

const GONE = 'This paper is not in the drawer any more. What you typed is still here.';

/** Notes as what a paper is sold, and for how much, from a day on. */
export async function notePrice(typed: unknown): Promise<Answer<number>> {
  return act(formatForm, typed, {}, async (v, { settings, write, at, today }) => {
    const refused = formatRefused(v);
    if (refused) return refused;
    if (v.day > today) {
      const message = `As of: ${v.day} is still to come. Note a price from the day on which it holds.`;
      return refuse(message, { day: message });
    }
    const { per, price, ...format } = v;
    return write(async (tx) => {
      const paper = await getPaper(tx, v.paperId);
      if (!paper) return refuse(GONE);
      const { currency } = settings;
      return addPaperFormat(tx, {
        ...format,
        price: wholePrice(price, per, v.height),
        currency,
        sold: true,
        at,
      });
    });
  });
}

/** Notes that a paper is no longer sold in a format. */
export async function noLongerSold(typed: unknown): Promise<Answer<null>> {
  return act(formatGoneForm, typed, {}, async (v, { write, at, today }) =>
    write(async (tx) => {
      const paper = await getPaper(tx, v.paperId);
      const formats = paper && (await formatsOf(tx, [paper])).get(paper.id);
      const format = formats?.find((f) => sameFormat(f, v));
      if (!paper || !format) return refuse(GONE);
      if (sameFormat(format, usualFormat(paper)))
        return refuse(
          'It is the usual sheet of this paper, in which its stock is counted. Change the sheet at the paper first.',
        );
      const { kind, core, price, currency, supplier } = format;
      await addPaperFormat(tx, {
        ...{ paperId: paper.id, kind, price, currency, supplier },
        width: mm(format.width),
        height: mm(format.height),
        core: core === null ? null : mm(core),
        sold: false,
        day: today,
        at,
      });
      return null;
    }),
  );
}
