import { nominalSize, rung } from '@/core/sizing';
import type { Rung } from '@/core/sizing';
import { daysUntil } from '@/core/packing';
import { markStations } from '@/core/work';
import type { Mark, Station, WorkFacts } from '@/core/work';
import {
  allOfferedSizes,
  allPrices,
  allPrintFiles,
  allProofs,
  currentMasters,
  listEditions,
  listOrders,
  listWorks,
  newestReadings,
  readSettings,
  worksWithFinish,
} from '@/data';
import type { BenchSettings, Master, Reading, SizeEvent, Work } from '@/data';

/** A size on offer, laid out and judged with the master of now; null rung when it cannot be laid out. */
export function judgeOffered(
  offered: SizeEvent,
  master: Master | undefined,
  settings: BenchSettings,
): Rung | null {
  const nominal = nominalSize(offered.sizeKey);
  return nominal && master
    ? rung(nominal, master.facts, offered.border, offered.fit, settings.sizing)
    : null;
}

export interface MarkedWork {
  work: Work;
  master: Master | undefined;
  offered: { event: SizeEvent; rung: Rung | null }[];
  facts: WorkFacts;
  marks: Record<Station, Mark>;
}

const groupBy = <T>(rows: T[], key: (row: T) => number): Map<number, T[]> => {
  const map = new Map<number, T[]>();
  for (const row of rows) {
    const list = map.get(key(row));
    if (list) list.push(row);
    else map.set(key(row), [row]);
  }
  return map;
};

const READ_STATE = {
  queued: 'reading',
  running: 'reading',
  done: 'ready',
  failed: 'failed',
  cancelled: 'failed',
} as const;

/** Every work with how far it has come along the rule. `today` is an ISO day. */
export async function markedWorks(db: Reading, today: string): Promise<MarkedWork[]> {
  const [
    settings,
    works,
    masters,
    readings,
    sizes,
    files,
    proofs,
    editions,
    prices,
    finished,
    orders,
  ] = await Promise.all([
    readSettings(db),
    listWorks(db),
    currentMasters(db),
    newestReadings(db),
    allOfferedSizes(db),
    allPrintFiles(db),
    allProofs(db),
    listEditions(db),
    allPrices(db),
    worksWithFinish(db),
    listOrders(db),
  ]);
  const sizesOf = groupBy(sizes, (r) => r.workId);
  const filesOf = groupBy(files, (r) => r.workId);
  const proofsBy = groupBy(proofs, (r) => r.workId);
  const editionsOf = groupBy(editions, (r) => r.workId);
  const ordersBy = groupBy(orders, (r) => r.workId);
  return works.map((work) => {
    const master = masters.get(work.id);
    const offered = (sizesOf.get(work.id) ?? []).map((event) => ({
      event,
      rung: judgeOffered(event, master, settings),
    }));
    const own = {
      files: filesOf.get(work.id) ?? [],
      proofs: proofsBy.get(work.id) ?? [],
      editions: editionsOf.get(work.id) ?? [],
      orders: ordersBy.get(work.id) ?? [],
    };
    const open = own.orders.filter((o) => o.shippedAt === null);
    const facts: WorkFacts = {
      masterRead: master ? READ_STATE[readings.get(work.id)?.state ?? 'done'] : 'none',
      untagged: Boolean(
        master && master.facts.iccDescription === null && master.assumedSpace === null,
      ),
      offered: offered.length,
      offeredFallingShort: offered.filter((o) => o.rung?.judgement.advice === 'withdraw')
        .length,
      printFiles: own.files.length,
      printFilesFailed: own.files.filter((f) => f.checks.some((c) => !c.passed)).length,
      proofsOut: own.proofs.filter((p) => p.verdict === null).length,
      proofsApproved: own.proofs.filter((p) => p.verdict === 'approved').length,
      editions: own.editions.length,
      numbersLeft: own.editions.reduce(
        (left, e) =>
          left +
          (e.declaration.kind === 'open'
            ? 1
            : e.declaration.size -
              e.impressions.filter((i) => i.series === 'number' && i.state !== 'spoiled')
                .length),
        0,
      ),
      priced: prices.filter((p) => p.workId === work.id).length,
      finished: finished.has(work.id) ? 1 : 0,
      ordersOpen: open.length,
      ordersLate: open.filter((o) => daysUntil(o.dueOn, today) < 0).length,
      ordersShipped: own.orders.length - open.length,
    };
    return { work, master, offered, facts, marks: markStations(facts) };
  });
}
