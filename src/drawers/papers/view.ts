import { daysAfter } from '@/core/days';
import { formatKey, paperStation, sameFormat, usualFormat } from '@/core/paper';
import type { PaperStation } from '@/core/paper';
import {
  MOST_CHOICES,
  askedOf,
  formatsOf,
  getLot,
  lastUses,
  lotsOf,
  onItsWayOf,
  notesOfPaper,
  paperCounts,
  paperWithStock,
  papersPage,
  papersToPrintOn,
  profilesInUse,
  readSettings,
  replacedPapers,
  sheetPlansOf,
  stationsOf,
  triedFor,
} from '@/data';
import type { Paper, Reading } from '@/data';
import { lastingOf } from '@/studio/reads/paperLasting';
import { rowId, studio, todayOf } from '@/studio';
import { usualLot } from './lotForm';
import { foldedUses } from './foldedUses';
import { paperWritten } from './paperForm';
import { replacementWords } from './words';

/** The latest uses that the slip has room for. */
const USES = 60;

/** Plans of sheets that are told at once. */
const PLANS = 3;

/** The newest plans of sheets of a paper, and how many prints each waits for. */
const plansOf = async (db: Reading, paperId: number) =>
  (await sheetPlansOf(db, paperId, PLANS)).map(({ id, changedAt, state }) => ({
    id,
    changedAt,
    pieces: state.pieces.reduce((n, p) => n + p.count, 0),
  }));

/** The stations of some papers' lives; of those that were never bought (`toCome`) nothing runs out. */
async function lives(db: Reading, papers: readonly Paper[]) {
  const known = await stationsOf(
    db,
    papers.map((p) => p.id),
  );
  return papers.map((paper) => {
    const { noted, everHere } = known.get(paper.id)!;
    const discontinued = paper.discontinuedAt !== null;
    const station = paperStation({ noted, everHere, left: paper.sheets, discontinued });
    return { ...paper, station, noted, everHere, toCome: !everHere && noted.length > 0 };
  });
}

type PaperLife = Awaited<ReturnType<typeof lives>>[number];

/** What was noted of a paper, and the stations where it has been. */
async function lifeOf(db: Reading, paper: PaperLife) {
  const been: PaperStation[] = [
    ...paper.noted.map((n): PaperStation => (n === 'swatch' ? 'tried' : n)),
    ...(paper.everHere ? (['inStock'] as const) : []),
    ...(paper.discontinuedAt === null ? [] : (['discontinued'] as const)),
    paper.station,
  ];
  return { notes: await notesOfPaper(db, paper.id), been };
}

/** The paper drawer: a page of stocks with what is left, and the one picked. */
export async function loadPapers(
  query: Record<string, string | undefined>,
  lines?: number,
) {
  const db = (await studio()).db.read;
  const asked = askedOf(query, lines);
  const words = await triedFor(db);
  const of = words.get(query.tried ?? '');
  const [page, counts, settings, named] = await Promise.all([
    papersPage(db, asked, of ? [...of] : null),
    paperCounts(db),
    readSettings(db),
    paperWithStock(db, rowId(query.paper ?? '')),
  ]);
  const today = todayOf(settings);
  const found = named ?? page.rows[0] ?? null;
  const [picked = null] = found ? await lives(db, [found]) : [];
  const editing = query.edit === '1' && picked ? paperWritten(picked, settings) : null;
  const lots = picked ? await lotsOf(db, picked.id) : [];
  const wantedLot = await getLot(db, rowId(query.lot ?? ''));
  const lot = wantedLot && wantedLot.paperId === picked?.id ? wantedLot : null;
  const formats = picked ? ((await formatsOf(db, [picked])).get(picked.id) ?? []) : [];
  // A delivery begins as the format that is named, else as the usual sheet at its newest price.
  const usual = picked && usualFormat(picked);
  const comesAs =
    formats.find((f) => formatKey(f) === query.as) ??
    formats.find((f) => usual && sameFormat(f, usual)) ??
    usual;
  const replaced = picked?.replacementId != null ? await replacedPapers(db) : [];
  return {
    page: { ...page, rows: await lives(db, page.rows) },
    today,
    asked,
    /** Everything that papers were tried for, and which of it is asked for. */
    tried: [...words.keys()],
    triedFor: of ? query.tried! : null,
    life: query.life === '1' && picked ? await lifeOf(db, picked) : null,
    counts,
    picked,
    replacement: picked ? replacementWords(picked.id, replaced) : null,
    /** Profiles that it is printed through. */
    profiles: picked ? await profilesInUse(db, picked.id) : [],
    /** What is left of its deliveries, the oldest first; the one picked, and a new one begun. */
    lasting: picked
      ? ((await lastingOf(db, [picked], todayOf(settings))).get(picked.id) ?? null)
      : null,
    /** Until this day an order is soon. */
    soon: daysAfter(todayOf(settings), settings.today.orderWithinDays),
    /** What was ordered of it and is not here yet. */
    coming: picked && (await onItsWayOf(db, 'paper', picked.id)),
    lots,
    lot,
    newLot:
      query.lot === 'new' && comesAs
        ? usualLot(comesAs, todayOf(settings), settings)
        : null,
    /** As what it is sold, each at its newest price. */
    formats,
    sold: query.sold === '1' && picked !== null,
    plans: picked ? await plansOf(db, picked.id) : [],
    uses: picked ? foldedUses(await lastUses(db, picked.id, USES)) : [],
    /** What may take the place of the one that is changed. */
    others: editing
      ? (await papersToPrintOn(db, MOST_CHOICES))
          .filter((p) => p.id !== picked?.id && p.discontinuedAt === null)
          .map(({ id, name }) => ({ id, name }))
      : [],
    adding: query.new === '1' || counts.all === 0,
    editing,
    bringing: query.bring === '1',
    currency: settings.currency,
    settings,
  };
}

export type PapersView = Awaited<ReturnType<typeof loadPapers>>;
