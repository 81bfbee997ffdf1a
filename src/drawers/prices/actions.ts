'use server';
import { listFault } from '@/core/price';
import type { PriceListValues } from '@/core/price';
import { addPriceList } from '@/data';
import { act, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import { priceListForm } from './listForm';
import { readPostage, readPrices, sizeSaid } from './listLines';
import { lineName, listFaultWords } from './words';

/** Keeps what a route asks from a day on. Lines that cannot be are named, and nothing is kept. */
export async function keepPriceList(typed: unknown): Promise<Answer<string>> {
  return act(priceListForm, typed, {}, async (v, { settings, write, at }) => {
    const { name, kind, rows: prices, postage: steps, ...terms } = v;
    const rows = readPrices(prices, settings);
    if (!rows.ok) return refuse(rows.problems.join('\n'), { rows: rows.problems[0]! });
    const postage = readPostage(steps, settings);
    if (!postage.ok)
      return refuse(postage.problems.join('\n'), { postage: postage.problems[0]! });
    const values: PriceListValues = { ...terms, rows: rows.value, postage: postage.value };
    const fault = listFault(values);
    if (fault) {
      const { field, words } = listFaultWords(fault, (row) => {
        const line = values.rows[row]!;
        return lineName(line, sizeSaid(line.size, settings));
      });
      return refuse(words, { [field]: words });
    }
    const { currency } = settings;
    await write((tx) => addPriceList(tx, { name, kind, values, currency, at }));
    return name;
  });
}
