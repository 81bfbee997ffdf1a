'use server';
import { promisedDay } from '@/core/pack';
import { addOrder, getEdition, getPaper } from '@/data';
import { act, refuse, rowId } from '@/studio';
import type { ActionResult } from '@/studio';
import { choice, defineForm, money, text, whole } from '@/core/input';

const WORDS: Record<string, string> = {
  notFree: 'This impression has gone into another order meanwhile. Choose another.',
  neverNumbered: 'This impression was never numbered. Number it at its edition first.',
  noEdition: 'This edition is not there any more.',
};

const order = defineForm({
  item: text('Impression', { max: 80 }),
  paperId: whole('Paper', { min: 1 }),
  name: text('Name', { max: 120 }),
  street: text('Street', { max: 160 }),
  town: text('Postcode and town', { max: 120 }),
  country: text('Country', { max: 80 }),
  channel: choice('Channel', ['own site', 'marketplace', 'gallery', 'fair']),
  price: money('Price', { above: 0, max: 1e10 }),
});

/** Takes an order for one numbered impression; answers with where it is packed. */
export async function takeOrder(
  typed: unknown,
): Promise<ActionResult<{ workId: number; number: string }>> {
  return act(order, typed, WORDS, async (v, { studio, settings, write, at }) => {
    const { item, paperId, channel, price, ...customer } = v;
    const match = /^(\d+):(number|ap):(\d+):(.+)$/.exec(item);
    const edition = match && (await getEdition(studio.db.read, rowId(match[1]!)));
    if (!match || !edition) {
      const message =
        'Impression: choose one that is numbered and here. Number one at its edition first.';
      return refuse(message, { item: message });
    }
    if (!(await getPaper(studio.db.read, paperId))) {
      const message = 'Paper: choose the paper it is printed on.';
      return refuse(message, { paperId: message });
    }
    const row = await write((tx) =>
      addOrder(tx, {
        customer,
        workId: edition.workId,
        sizeKey: match[4]!,
        paperId,
        editionId: edition.id,
        series: match[2] === 'ap' ? 'ap' : 'number',
        impression: rowId(match[3]!),
        channel,
        price,
        placedAt: at,
        dueOn: promisedDay(at, settings.handlingDays),
      }),
    );
    return { workId: row.workId, number: row.number };
  });
}
