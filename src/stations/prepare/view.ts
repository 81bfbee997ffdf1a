import { printPlan } from '@/core/prepare';
import {
  MOST_CHOICES,
  arrivals,
  detailOfMaster,
  errandsOf,
  filesOf,
  newestFilesElsewhere,
  papersToPrintOn,
  printSourceOf,
  profilesNow,
  namedRecipes,
  routesNow,
  sheetFilesOf,
} from '@/data';
import type { LabAnswer } from '@/standins';
import {
  approvedRounds,
  dropFolder,
  isHere,
  loadWorkPage,
  offeredRungs,
  todayOf,
} from '@/studio';
import { fileShown } from './filesShown';
import { sheetOf } from './sheetNames';

/** Files of other works that are offered at once; more are found by typing. */
const ELSEWHERE = 8;

/** Prints of one errand at most. */
const MOST_PRINTS = 1000;

/** What was compared at Price and is to be ordered: how many, of whom; null where nothing is. */
function wishOf(
  { to, prints }: Record<string, string | undefined>,
  sizeKey: string | null,
  routes: readonly { id: number; name: string }[],
) {
  const many = Number(prints);
  if (!to || !sizeKey || !Number.isInteger(many) || many < 1 || many > MOST_PRINTS)
    return null;
  const name = to.slice(0, 80);
  return {
    name,
    prints: many,
    sizeKey,
    routeId: routes.find((r) => r.name === name)?.id ?? null,
  };
}

/** The prepare station: what would be written for a size, and what has been. */
export async function loadPrepare(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, master, settings, db, studio } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  const sheet = sheetOf(query.sheet);
  const also = (query.also ?? '').trim().slice(0, 100);
  const [
    files,
    elsewhere,
    recipes,
    profiles,
    sheets,
    papers,
    routes,
    errands,
    source,
    detail,
    approved,
  ] = await Promise.all([
    filesOf(db, work.id),
    sheet === 'handOver'
      ? newestFilesElsewhere(db, { notWorkId: work.id, find: also }, ELSEWHERE)
      : [],
    namedRecipes(db),
    profilesNow(db),
    sheetFilesOf(db, work.id),
    papersToPrintOn(db, MOST_CHOICES),
    routesNow(db),
    errandsOf(db, work.id),
    printSourceOf(db, work.id),
    detailOfMaster(db, master?.id ?? null),
    approvedRounds(db, [work.id]),
  ]);
  const came =
    sheet === 'handOver'
      ? await arrivals(db, { of: errands.map((e) => e.id), limit: errands.length })
      : [];
  const ppi = settings.size.printPpi;
  const kinds = ['printFile', 'sheet', 'handOver'];
  const running = studio.jobs
    .list()
    .filter((j) => j.workId === work.id && kinds.includes(j.kind));
  const { jobs } = page;
  const ended = [jobs.printFile, jobs.sheet, jobs.handOver].filter(
    (j) => j !== null && !['done', 'queued', 'running'].includes(j.state),
  );
  return {
    work,
    master,
    offered,
    picked,
    sheet,
    settings: { printPpi: ppi },
    plan: master && picked ? printPlan(master.facts, picked.fit, ppi) : null,
    /** From where the print of this size is looked at, mm. */
    viewing: picked?.judgement.figures.standing ?? settings.size.handDistanceMm,
    /** Work that runs or waits, and what ended before its time. */
    jobs: [...running, ...ended.filter((j) => j !== null)],
    files,
    /** Files of other works that can go along in an errand, as they were looked for. */
    elsewhere: elsewhere.map(({ work: title, file }) => fileShown(file, title)),
    also,
    recipes,
    profiles: profiles.map(({ sha256, name, space }) => ({ sha256, name, space })),
    sheets,
    /** A recipe that is to be taken, as the address asks. */
    take: Number(query.recipe) || null,
    /** Approved proofs: what is written is held against them, sizes up to a factor. */
    approved,
    sizeFactor: settings.proof.sizeFactor,
    /** What the log book is asked by. */
    made: { source, detail },
    routes: routes.map((r) => ({
      ...r,
      drop: dropFolder(studio.home, r),
      here: isHere(r),
    })),
    errands: errands.map((e) => ({
      ...e,
      answer: e.answer as LabAnswer | null,
      came: came.find((c) => c.errandId === e.id) ?? null,
    })),
    today: todayOf(settings),
    /** So many prints of the picked size that are to be ordered of somebody, as the address asks. */
    wish: wishOf(query, picked?.key ?? null, routes),
    papers: papers.map((p) => ({
      id: p.id,
      name: p.name,
      width: p.sheetWidth,
      height: p.sheetHeight,
    })),
  };
}

export type PrepareView = Awaited<ReturnType<typeof loadPrepare>>;
