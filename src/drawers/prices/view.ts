import { ROUTE_KINDS } from '@/core/prepare';
import { minor } from '@/core/units';
import { priceListsNow, priceListsOf, readSettings, routesNow } from '@/data';
import type { BenchSettings, PriceListRow } from '@/data';
import { routeRecords, studio, todayOf } from '@/studio';
import { priceListForm } from './listForm';
import { sizeSaid, writePostage, writePrices } from './listLines';

/** What a new list begins with: its heads, and nothing asked. */
const blank = (settings: BenchSettings, today: string) => ({
  ...priceListForm.write(
    {
      kind: 'onlineLab',
      from: today,
      setUp: minor(0),
      proofFee: minor(0),
      leastQuantity: 1,
      leastPaid: minor(0),
      toCustomer: minor(0),
    },
    settings,
  ),
  rows: writePrices([], settings, settings.currency),
});

/** A list as it stands in the form. */
const written = ({ name, kind, values, currency }: PriceListRow, s: BenchSettings) => ({
  ...priceListForm.write(
    {
      ...values,
      name,
      kind,
      rows: '',
      postage: '',
    },
    { ...s, currency },
  ),
  rows: writePrices(values.rows, s, currency),
  postage: writePostage(values.postage, s, currency),
});

/** A list as it is shown. */
const shown = (
  { id, name, kind, values, currency, at }: PriceListRow,
  s: BenchSettings,
) => ({
  id,
  name,
  kind,
  currency,
  at,
  values,
  rows: values.rows.map((r) => ({ ...r, said: sizeSaid(r.size, s) })),
});
export type ShownList = ReturnType<typeof shown>;

/** What routes ask: their lists, the one that is picked with those before it, the form. */
export async function loadPriceLists(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const settings = await readSettings(db);
  const today = todayOf(settings);
  const [lists, routes] = await Promise.all([priceListsNow(db), routesNow(db)]);
  const picked = lists.find((l) => l.name === query.of) ?? null;
  const adding = query.new === '1' || lists.length === 0;
  const before = picked ? await priceListsOf(db, picked.name) : [];
  return {
    today,
    lists: lists.map((l) => shown(l, settings)),
    picked: picked && shown(picked, settings),
    /** Earlier lists of it, the newest first. */
    before: before.slice(1).map((l) => shown(l, settings)),
    form: adding
      ? { name: null, start: { ...blank(settings, today), name: query.name ?? '' } }
      : picked && query.edit === '1'
        ? // Amounts in another currency are not re-labelled: the list is typed anew.
          {
            name: picked.name,
            start:
              picked.currency === settings.currency
                ? { ...written(picked, settings), from: today }
                : { ...blank(settings, today), name: picked.name },
          }
        : null,
    /** What came of what was handed over to the one that is picked, the newest first. */
    came: picked
      ? ((await routeRecords(db, settings.timeZone)).get(picked.name) ?? [])
      : [],
    names: [...new Set([...routes.map((r) => r.name), ...lists.map((l) => l.name)])],
    kinds: ROUTE_KINDS.map((k) => k.id),
  };
}

export type PriceListsView = Awaited<ReturnType<typeof loadPriceLists>>;
