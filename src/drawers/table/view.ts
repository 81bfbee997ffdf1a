import { todayLines } from '@/core/today';
import { lyingLabel, nominalSize } from '@/core/sizing';
import { allProofs, listEditions, listOrders, listPapers, readSettings } from '@/data';
import { markedWorks, now, studio } from '@/studio';

export const sizeLabel = (key: string): string => nominalSize(key)?.label ?? 'all sizes';

/** What is due, waiting, low and late today. */
export async function loadTable() {
  const db = (await studio()).db.read;
  const today = now().slice(0, 10);
  const [settings, works, orders, proofs, papers, editions] = await Promise.all([
    readSettings(db),
    markedWorks(db, today),
    listOrders(db),
    allProofs(db),
    listPapers(db),
    listEditions(db),
  ]);
  const title = new Map(works.map((w) => [w.work.id, w.work.title]));
  const named = (workId: number) => ({ workId, work: title.get(workId) ?? '' });
  const lines = todayLines(
    {
      orders: orders
        .filter((o) => o.shippedAt === null)
        .map((o) => ({
          ...named(o.workId),
          number: o.number,
          customer: o.customer.name,
          due: o.dueOn,
        })),
      proofsOut: proofs
        .filter((p) => p.verdict === null)
        .map((p) => ({
          ...named(p.workId),
          paper: p.paper,
          round: p.round,
          sentAt: p.sentAt,
        })),
      papers,
      editions: editions
        .filter((e) => e.declaration.kind === 'limited')
        .map((e) => ({
          ...named(e.workId),
          size: sizeLabel(e.sizeKey),
          of: e.declaration.size,
          left:
            e.declaration.size -
            e.impressions.filter((i) => i.series === 'number' && i.state !== 'spoiled')
              .length,
        })),
      untagged: works.filter((w) => w.facts.untagged).map((w) => named(w.work.id)),
      noMaster: works.filter((w) => !w.master).map((w) => named(w.work.id)),
      noSizes: works
        .filter((w) => w.master && w.offered.length === 0)
        .map((w) => named(w.work.id)),
      fallsShort: works.flatMap((w) =>
        w.offered
          .filter((o) => o.rung?.judgement.advice === 'withdraw')
          .map((o) => ({
            ...named(w.work.id),
            size: o.rung ? lyingLabel(nominalSize(o.event.sizeKey)!, o.rung.fit.sheet) : '',
            ppi: o.rung?.judgement.figures.ppi ?? 0,
          })),
      ),
    },
    today,
    settings.today,
  );
  const monthAgo = new Date(Date.parse(today) - 30 * 86_400_000).toISOString();
  const shipped = orders.filter((o) => o.shippedAt !== null && o.shippedAt >= monthAgo);
  return {
    lines,
    today,
    works: works.length,
    openOrders: orders.filter((o) => o.shippedAt === null).length,
    shippedMonth: shipped.length,
    grossMonth: shipped.reduce((total, o) => total + o.price, 0),
  };
}

export type TableView = Awaited<ReturnType<typeof loadTable>>;
