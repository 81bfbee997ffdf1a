import { referenceProof } from '@/core/proof';
import { MOST_CHOICES, papersToPrintOn, printFilesOf, proofsOf } from '@/data';
import { loadWorkPage, now, offeredRungs } from '@/studio';

/** The proof station: the rounds of a size, and which one is held as the reference. */
export async function loadProof(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, master, db } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  const [papers, proofs, files] = await Promise.all([
    papersToPrintOn(db, MOST_CHOICES),
    proofsOf(db, work.id),
    printFilesOf(db, work.id),
  ]);
  const own = picked ? proofs.filter((p) => p.sizeKey === picked.key) : [];
  return {
    work,
    master,
    offered,
    picked,
    today: now().slice(0, 10),
    currency: page.settings.currency,
    papers: papers.map(({ id: paperId, name, weight, surface }) => ({
      id: paperId,
      name,
      weight,
      surface,
    })),
    rounds: own,
    out: own.find((p) => p.verdict === null) ?? null,
    reference: picked ? (referenceProof(own, picked.key)?.id ?? null) : null,
    approvedKeys: [
      ...new Set(proofs.filter((p) => p.verdict === 'approved').map((p) => p.sizeKey)),
    ],
    file: files.find((f) => f.sizeKey === picked?.key)?.name ?? null,
  };
}

export type ProofView = Awaited<ReturnType<typeof loadProof>>;
