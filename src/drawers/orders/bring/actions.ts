'use server';
import { promisedDay } from '@/core/days';
import { addOrderLine, takeOrder } from '@/data';
import type { OrderRow } from '@/data';
import { act, problemsSaid, readList, refuse, weekOf } from '@/studio';
import type { Answer } from '@/core/input';
import { readLine } from '../readLine';
import { WORDS } from '../words';
import { layNewLines } from '../bench/layByRule';
import { NotTaken, askedOfList } from './lineOfList';
import { NEEDED_OF_ORDERS, bringOrdersForm, orderListForm } from './orderListForm';
import { usualOrderLine } from './orderListForm';

const LIST = {
  form: orderListForm,
  of: 'a line of an order',
  needed: NEEDED_OF_ORDERS,
  along: ['currency'],
  usual: usualOrderLine,
};

/** Whom an order goes to, in one word: lines of one order agree in it. */
const addressee = (v: { name: string; street: string; town: string; country: string }) =>
  [v.name, v.street, v.town, v.country].join('\n');

/**
 * Takes in orders from a CSV list: all of it, or, where a line is wrong, none. Answers the numbers
 * of the orders.
 */
export async function bringOrders(typed: unknown): Promise<Answer<string[]>> {
  return act(bringOrdersForm, typed, WORDS, async ({ list }, tools) => {
    const { settings, studio, write, at, today } = tools;
    const read = readList(list, LIST, settings);
    const no = (problems: readonly string[]) =>
      refuse(problems.join('\n'), { list: problems[0]! });
    if (!read.ok) return no(read.problems);
    return write(async (tx) => {
      const problems: string[] = [];
      const begun = new Map<string, { order: OrderRow; to: string }>();
      const taken: string[] = [];
      for (const { line, value: v } of read.lines) {
        try {
          const known = v.order === '' ? undefined : begun.get(v.order);
          const to = addressee(v);
          if (known && known.to !== to)
            throw new NotTaken(
              `Order: “${v.order}” goes to ${v.name} here, and to somebody else above.`,
            );
          const asked = await askedOfList(tx, v);
          const found = await readLine(tx, asked, settings.currency);
          if (!found.ok) throw new NotTaken(found.message);
          if (known) {
            await addOrderLine(tx, known.order, found.line, at);
            await layNewLines(tx, studio.home, known.order.number, at);
            continue;
          }
          const { name, street, town, country, channel, wish, note } = v;
          const order = await takeOrder(
            tx,
            {
              customer: { name, street, town, country },
              channel,
              wish,
              note,
              extras: [],
              placedAt: at,
              dueOn: promisedDay(today, settings.handlingDays, weekOf(settings)),
            },
            found.line,
          );
          taken.push(order.number);
          if (v.order !== '') begun.set(v.order, { order, to });
        } catch (error) {
          if (!(error instanceof NotTaken)) throw error;
          problems.push(`Line ${line}: ${error.message}`);
        }
      }
      return problems.length > 0 ? no(problemsSaid(problems)) : taken;
    });
  });
}
