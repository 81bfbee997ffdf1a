import { daysAfter, noonOf } from '@/core/days';
import { routeKind } from '@/core/prepare';
import { stepOf } from '@/core/price';
import { studioParts, todayLines } from '@/core/today';
import type { StudioHas } from '@/core/today';
import { lastingOf } from '@/studio/reads/paperLasting';
import { nominalSize } from '@/core/size';
import {
  ALL,
  cutOffJobs,
  listDevices,
  routesNow,
  worksPage,
  drawerCounts,
  fetchesDue,
  soldPastSteps,
  dueCounts,
  lastDone,
  MOST_CHOICES,
  papersLow,
  papersToPrintOn,
  lightNow,
  writtenSpan,
  nearlyClosed,
  ordersDue,
  proofsOut,
  purchasesOnTheWay,
  readSettings,
  salesSince,
  voidedAtStart,
  titlesOf,
  worksLacking,
} from '@/data';
import type { Reading, BenchSettings } from '@/data';
import {
  fallingShort,
  followedJob,
  inksToBuy,
  jobWords,
  lapsedNow,
  materialsLasting,
  now,
  studio,
  todayOf,
} from '@/studio';

export const sizeLabel = (key: string): string => nominalSize(key)?.label ?? 'all sizes';

/** Lines of one kind at most: what presses is on top, the drawers hold the rest. */
const MOST = 12;
const MOST_JOBS = 5;
/** Editions on a ladder that sold something since their price was kept, at most. */
const MOST_LADDERS = 500;

/** Sizes that the master of now is too small for, and how many works are still to be judged. */
async function short(db: Reading, settings: BenchSettings) {
  const { found, waiting } = await fallingShort(db).upTo(db, settings);
  return { waiting, lines: await titled(db, found) };
}

/** Sizes on offer whose approved proof is no reference any more. */
async function lapsed(db: Reading, settings: BenchSettings) {
  const { found, waiting } = await lapsedNow(db).upTo(db, settings);
  const lines = await titled(db, found);
  return { waiting, lines };
}

/** The first lines of what was found, each with the title of its work. */
async function titled<F extends { workId: number }>(db: Reading, found: readonly F[]) {
  const some = found.slice(0, MOST);
  const titles = await titlesOf(
    db,
    some.map((s) => s.workId),
  );
  return some.flatMap((s) => {
    const work = titles.get(s.workId);
    return work === undefined ? [] : [{ ...s, work }];
  });
}

/** Work that is under way, and work that a stop of Glassine cut off. */
async function jobsNow() {
  const open = await studio();
  const cutOff = (await cutOffJobs(open.db.read)).map((row) => followedJob(open, row));
  const all = [...open.jobs.list(), ...cutOff];
  const jobs = all.slice(0, MOST_JOBS);
  const ids = jobs.flatMap((j) => (j.workId === null ? [] : [j.workId]));
  const titles = await titlesOf(open.db.read, ids);
  return {
    jobs: jobs.map((job) => ({
      job,
      words: jobWords(
        job.kind,
        job.workId === null ? null : (titles.get(job.workId) ?? null),
      ),
    })),
    jobsMore: all.length - jobs.length,
  };
}

const more = (n: number, what: string) => `${n} more ${what}`;

/** Editions that sold past a step of their ladder since their price was kept. */
async function steppedNow(db: Reading) {
  const found = (await soldPastSteps(db, MOST_LADDERS)).flatMap((e) => {
    const { steps, before, sold, of } = e;
    const at = (n: number) => stepOf(Math.min(n + 1, of), of, steps);
    const up = at(sold) - at(before);
    // One that is sold out has no next price.
    return up > 0 && sold < of ? [{ ...e, by: (1 + steps.by) ** up - 1 }] : [];
  });
  return found.slice(0, MOST).map(({ workId, work, sizeKey, sold, of, by }) => ({
    ...{ workId, work, sizeKey, sold, of, by },
  }));
}

/** What of a studio is there. */
async function has(
  db: Reading,
  { works, papers }: { works: number; papers: number },
  { backupFolder }: BenchSettings,
): Promise<StudioHas> {
  const [devices, routes] = await Promise.all([listDevices(db), routesNow(db)]);
  const printers = routes.filter(
    ({ kind }) => kind !== null && routeKind(kind).here,
  ).length;
  return {
    works,
    papers,
    devices: devices.length,
    printers,
    labs: routes.length - printers,
    backupFolder,
  };
}

/** What is due, waiting, low and late today. */
export async function loadTable() {
  const db = (await studio()).db.read;
  const settings = await readSettings(db);
  const today = todayOf(settings);
  const monthAgo = noonOf(daysAfter(today, -30), settings.timeZone);
  const [
    counts,
    orders,
    out,
    low,
    usable,
    materials,
    voided,
    editions,
    untagged,
    noMaster,
    noSizes,
    fallsShort,
    references,
  ] = await Promise.all([
    drawerCounts(db),
    ordersDue(db, MOST),
    proofsOut(db, MOST),
    papersLow(db, MOST),
    papersToPrintOn(db, MOST_CHOICES),
    materialsLasting(db, today),
    voidedAtStart(db, monthAgo, MOST),
    nearlyClosed(db, settings.today.nearlyClosedShare, MOST),
    worksLacking(db, 'profile', MOST),
    worksLacking(db, 'master', MOST),
    worksLacking(db, 'sizes', MOST),
    short(db, settings),
    lapsed(db, settings),
  ]);
  const known = [...low, ...usable.filter((p) => !low.some((l) => l.id === p.id))];
  const [lasting, inks, onItsWay, fetches, stepped, backup, span, light] =
    await Promise.all([
      lastingOf(db, known, today),
      inksToBuy(db, today),
      purchasesOnTheWay(db),
      fetchesDue(db, MOST),
      steppedNow(db),
      lastDone(db, 'backup'),
      writtenSpan(db),
      lightNow(db),
    ]);
  const lines = todayLines(
    {
      orders,
      proofsOut: out,
      papers: known.map((p) => ({ ...p, orderBy: lasting.get(p.id)?.orderBy ?? null })),
      inks,
      onItsWay,
      fetches,
      stepped,
      materials: materials.map((m) => ({ ...m, orderBy: m.lasting?.orderBy ?? null })),
      voided,
      editions: editions.map((e) => ({ ...e, size: sizeLabel(e.sizeKey) })),
      untagged,
      noMaster,
      noSizes,
      fallsShort: fallsShort.lines,
      references: references.lines,
      calibratedOn: light?.calibratedOn ?? null,
      kept: { backup: backup?.at ?? null, ...span },
      now: now(),
      zone: settings.timeZone,
    },
    today,
    settings.today,
  );
  const [month, pressing] = await Promise.all([
    salesSince(db, monthAgo),
    dueCounts(db, today, daysAfter(today, settings.today.dueWithinDays)),
  ]);
  const full = (rows: unknown[]) => rows.length === MOST;
  const rest: { what: string; href: string }[] = [];
  if (counts.ordersOpen > orders.length)
    rest.push({ what: more(counts.ordersOpen - orders.length, 'orders'), href: '/orders' });
  if (counts.proofsOut > out.length)
    rest.push({ what: more(counts.proofsOut - out.length, 'proofs out'), href: '/proofs' });
  if (full(low)) rest.push({ what: 'more papers', href: '/papers?sort=level' });
  if (full(editions)) rest.push({ what: 'more editions', href: '/editions' });
  if ([untagged, noMaster, noSizes, fallsShort.lines, references.lines].some(full))
    rest.push({ what: 'more works', href: '/works' });
  if (fallsShort.waiting > 0)
    rest.push({
      what: `${fallsShort.waiting} works whose sizes are still being judged`,
      href: '/works',
    });
  if (references.waiting > 0)
    rest.push({
      what: `${references.waiting} works whose references are still being looked at`,
      href: '/proofs',
    });
  const { studio: name, country, timeZone, locale, currency, units, settled } = settings;
  return {
    lines,
    rest,
    place: { studio: name, country, timeZone, locale, currency, units },
    settled,
    parts: studioParts(await has(db, counts, settings)),
    newest: (await worksPage(db, { ...ALL, lines: 1 })).rows[0] ?? null,
    ...(await jobsNow()),
    today,
    works: counts.works,
    ...pressing,
    openOrders: counts.ordersOpen,
    shippedMonth: month.reduce((n, s) => n + s.sold, 0),
    grossMonth: month.map(({ gross, currency }) => ({ gross, currency })),
  };
}

export type TableView = Awaited<ReturnType<typeof loadTable>>;
