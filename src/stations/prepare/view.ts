import { printPlan, suggestedRadius } from '@/core/prepare';
import { printFilesOf } from '@/data';
import { loadWorkPage, offeredRungs } from '@/studio';

/** The prepare station: what would be written for a size, and what has been. */
export async function loadPrepare(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, master, settings, db, jobs } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  const files = await printFilesOf(db, work.id);
  const ppi = settings.sizing.printPpi;
  const viewing =
    picked?.judgement.verdict === 'inHand'
      ? settings.sizing.handDistanceMm
      : (picked?.judgement.figures.standing ?? 0);
  return {
    work,
    master,
    offered,
    picked,
    plan: master && picked ? printPlan(master.facts, picked.fit, ppi) : null,
    ppi,
    radius: suggestedRadius(ppi, viewing),
    viewing,
    job: jobs.printFile,
    files,
  };
}

export type PrepareView = Awaited<ReturnType<typeof loadPrepare>>;
