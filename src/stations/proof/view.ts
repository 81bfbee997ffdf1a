import { routeKind } from '@/core/prepare';
import { referenceProof } from '@/core/proof';
import { MOST_CHOICES, papersToPrintOn, printFilesOf, proofsOf, routesNow } from '@/data';
import type { Route } from '@/data';
import { loadWorkPage, offeredRungs, todayOf } from '@/studio';

/** What is printed in the room, where no route says so. */
const OWN_PRINTER = 'own printer';

const isHere = ({ kind }: Route) => kind !== null && routeKind(kind).here;

/** The proof station: the rounds of a size, and which one is held as the reference. */
export async function loadProof(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, master, db } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  const [papers, proofs, files, routes] = await Promise.all([
    papersToPrintOn(db, MOST_CHOICES),
    proofsOf(db, work.id),
    printFilesOf(db, work.id),
    routesNow(db),
  ]);
  const own = picked ? proofs.filter((p) => p.sizeKey === picked.key) : [];
  return {
    work,
    master,
    offered,
    picked,
    today: todayOf(page.settings),
    currency: page.settings.currency,
    papers: papers.map(({ id: paperId, name, weight, surface }) => ({
      id: paperId,
      name,
      weight,
      surface,
    })),
    rounds: own,
    /** One's own printer, the routes of Prepare, and who printed a proof before. */
    printers: [
      ...new Set([
        ...(routes.some(isHere) ? [] : [OWN_PRINTER]),
        ...routes.filter(isHere).map((r) => r.name),
        ...routes.map((r) => r.name),
        ...proofs.map((p) => p.route),
      ]),
    ],
    out: own.find((p) => p.verdict === null) ?? null,
    reference: picked ? (referenceProof(own, { sizeKey: picked.key })?.id ?? null) : null,
    approvedKeys: [
      ...new Set(proofs.filter((p) => p.verdict === 'approved').map((p) => p.sizeKey)),
    ],
    file: files.find((f) => f.sizeKey === picked?.key)?.name ?? null,
  };
}

export type ProofView = Awaited<ReturnType<typeof loadProof>>;
