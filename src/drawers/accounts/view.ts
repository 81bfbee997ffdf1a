import { nominalSize } from '@/core/sizing';
import { allPrices, listOrders, readSettings } from '@/data';
import { studio } from '@/studio';

/** What was sold, by work and size: gross, what the channel and the making took, and what stayed. */
export async function loadAccounts(_query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const [orders, prices, settings] = await Promise.all([
    listOrders(db),
    allPrices(db),
    readSettings(db),
  ]);
  const groups = new Map<
    string,
    {
      workId: number;
      work: string;
      size: string;
      channel: string;
      sold: number;
      gross: number;
      net: number;
      postage: number;
      unknownCost: boolean;
    }
  >();
  for (const o of orders) {
    if (!o.shippedAt) continue;
    const key = `${o.workId}:${o.sizeKey}:${o.channel}`;
    const row = groups.get(key) ?? {
      workId: o.workId,
      work: o.work,
      size: nominalSize(o.sizeKey)?.label ?? '',
      channel: o.channel,
      sold: 0,
      gross: 0,
      net: 0,
      postage: 0,
      unknownCost: false,
    };
    // The reckoning in force when the order came in; the first one if none was yet.
    const own = prices.filter((p) => p.workId === o.workId && p.sizeKey === o.sizeKey);
    const reckoned = own.filter((p) => p.at <= o.placedAt).at(-1) ?? own[0];
    row.sold += 1;
    row.gross += o.price;
    row.postage += o.label?.cost ?? 0;
    if (reckoned) row.net += o.price - reckoned.cost - reckoned.fees;
    else row.unknownCost = true;
    groups.set(key, row);
  }
  const rows = [...groups.values()].sort((a, b) => b.gross - a.gross);
  return { rows, currency: settings.currency };
}

export type AccountsView = Awaited<ReturnType<typeof loadAccounts>>;
