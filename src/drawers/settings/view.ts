import { drawerCounts, readSettings, storedSettings } from '@/data';
import { studio } from '@/studio';

/** What the chest shows: how the bench is set, and how much is in each drawer. */
export async function loadChest() {
  const db = (await studio()).db.read;
  const [settings, counts, stored] = await Promise.all([
    readSettings(db),
    drawerCounts(db),
    storedSettings(db, ['timeZone']),
  ]);
  const { units, tone, currency, locale, timeZone, singleKeys, sample } = settings;
  return {
    /** Whether it was ever said where the studio is. */
    placeKnown: 'timeZone' in stored,
    bench: { units, tone, currency, locale, timeZone, singleKeys, sample },
    counts: {
      '/works': counts.works,
      '/papers': counts.papers,
      '/materials': counts.materials,
      '/proofs': counts.proofsOut,
      '/editions': counts.editions,
      '/orders': counts.ordersOpen,
    },
  };
}

export async function loadSettings(_query: Record<string, string | undefined>) {
  const open = await studio();
  return { settings: await readSettings(open.db.read), home: open.home };
}
