import { printPlan } from '@/core/prepare';
import {
  MOST_CHOICES,
  filesOf,
  papersToPrintOn,
  profilesNow,
  recipesNow,
  sheetFilesOf,
} from '@/data';
import { loadWorkPage, offeredRungs } from '@/studio';
import { sheetOf } from './sheetNames';

/** The prepare station: what would be written for a size, and what has been. */
export async function loadPrepare(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, master, settings, db, studio } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  const [files, recipes, profiles, sheets, papers] = await Promise.all([
    filesOf(db, work.id),
    recipesNow(db),
    profilesNow(db),
    sheetFilesOf(db, work.id),
    papersToPrintOn(db, MOST_CHOICES),
  ]);
  const ppi = settings.sizing.printPpi;
  const kinds = ['printFile', 'sheet'];
  const running = studio.jobs
    .list()
    .filter((j) => j.workId === work.id && kinds.includes(j.kind));
  const { printFile, sheet } = page.jobs;
  const ended = [printFile, sheet].filter(
    (j) => j !== null && !['done', 'queued', 'running'].includes(j.state),
  );
  return {
    work,
    master,
    offered,
    picked,
    sheet: sheetOf(query.sheet),
    settings: { printPpi: ppi },
    plan: master && picked ? printPlan(master.facts, picked.fit, ppi) : null,
    /** From where the print of this size is looked at, mm. */
    viewing: picked?.judgement.figures.standing ?? settings.sizing.handDistanceMm,
    /** Work that runs or waits, and what ended before its time. */
    jobs: [...running, ...ended.filter((j) => j !== null)],
    files,
    recipes,
    profiles: profiles.map(({ sha256, name, space }) => ({ sha256, name, space })),
    sheets,
    papers: papers.map((p) => ({
      name: p.name,
      width: p.sheetWidth,
      height: p.sheetHeight,
    })),
  };
}

export type PrepareView = Awaited<ReturnType<typeof loadPrepare>>;
