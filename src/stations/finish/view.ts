import { USUAL_FINISH } from '@/core/finish';
import { finishesOf, waitingPieces } from '@/data';
import { loadWorkPage, offeredRungs, paperOfSize, referenceOf } from '@/studio';

/** The finish station: the mat and frame kept for a size. */
export async function loadFinish(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, master, db } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  const kept = await finishesOf(db, work.id);
  const size = picked && { workId: work.id, sizeKey: picked.key };
  const paper = size
    ? await paperOfSize(
        db,
        await waitingPieces(db, size),
        await referenceOf(db, work.id, { sizeKey: size.sizeKey }),
      )
    : null;
  const own = kept.find((f) => f.sizeKey === picked?.key);
  return {
    work,
    master,
    offered,
    picked,
    keptKeys: kept.map((f) => f.sizeKey),
    start: own?.values ?? USUAL_FINISH,
    keptAt: own?.at ?? null,
    /** What the print is on: its thickness lies in the rabbet. */
    paper: paper && {
      name: paper.name,
      thickness: paper.thickness,
      scuffs: paper.scuffs,
    },
  };
}

export type FinishView = Awaited<ReturnType<typeof loadFinish>>;
