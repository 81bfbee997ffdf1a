import { USUAL_FINISH } from '@/core/finish';
import { finishesOf } from '@/data';
import { loadWorkPage, offeredRungs } from '@/studio';

/** The finish station: the mat and frame kept for a size. */
export async function loadFinish(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, master, db } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  const kept = await finishesOf(db, work.id);
  const own = kept.find((f) => f.sizeKey === picked?.key);
  return {
    work,
    master,
    offered,
    picked,
    keptKeys: kept.map((f) => f.sizeKey),
    start: own?.values ?? USUAL_FINISH,
    keptAt: own?.at ?? null,
  };
}

export type FinishView = Awaited<ReturnType<typeof loadFinish>>;
