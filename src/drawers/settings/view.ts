import {
  listPapers,
  countWorks,
  allProofs,
  listEditions,
  listOrders,
  readSettings,
} from '@/data';
import { studio } from '@/studio';

/** What the chest shows: how the bench is set, and how much is in each drawer. */
export async function loadChest() {
  const db = (await studio()).db.read;
  const [settings, works, papers, proofs, editions, orders] = await Promise.all([
    readSettings(db),
    countWorks(db),
    listPapers(db),
    allProofs(db),
    listEditions(db),
    listOrders(db),
  ]);
  const { units, tone, currency, locale } = settings;
  return {
    bench: { units, tone, currency, locale },
    counts: {
      '/works': works,
      '/papers': papers.length,
      '/proofs': proofs.filter((p) => p.verdict === null).length,
      '/editions': editions.length,
      '/orders': orders.filter((o) => o.shippedAt === null).length,
    },
  };
}

export async function loadSettings(_query: Record<string, string | undefined>) {
  const open = await studio();
  return { settings: await readSettings(open.db.read), home: open.home };
}
