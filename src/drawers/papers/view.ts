import { daysAfter } from '@/core/days';
import {
  MOST_CHOICES,
  askedOf,
  getLot,
  lastUses,
  lotsOf,
  paperCounts,
  paperWithStock,
  papersPage,
  papersToPrintOn,
  profilesInUse,
  readSettings,
  sheetPlansOf,
} from '@/data';
import type { Reading } from '@/data';
import { lastingOf } from '@/studio/reads/paperLasting';
import { rowId, studio, todayOf } from '@/studio';
import { usualLot } from './lotForm';
import { foldedUses } from './foldedUses';
import { paperWritten } from './paperForm';

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

/** The paper drawer: a page of stocks with what is left, and the one picked. */
export async function loadPapers(
  query: Record<string, string | undefined>,
  lines?: number,
) {
  const db = (await studio()).db.read;
  const asked = askedOf(query, lines);
  const [page, counts, settings, named] = await Promise.all([
    papersPage(db, asked),
    paperCounts(db),
    readSettings(db),
    paperWithStock(db, rowId(query.paper ?? '')),
  ]);
  const picked = named ?? page.rows[0] ?? null;
  const editing = query.edit === '1' && picked ? paperWritten(picked, settings) : null;
  const lots = picked ? await lotsOf(db, picked.id) : [];
  const wantedLot = await getLot(db, rowId(query.lot ?? ''));
  const lot = wantedLot && wantedLot.paperId === picked?.id ? wantedLot : null;
  const replacement =
    picked?.replacementId != null ? await paperWithStock(db, picked.replacementId) : null;
  return {
    page,
    asked,
    counts,
    picked,
    replacement: replacement?.name ?? null,
    /** Profiles that it is printed through. */
    profiles: picked ? await profilesInUse(db, picked.id) : [],
    /** What is left of its deliveries, the oldest first; the one picked, and a new one begun. */
    lasting: picked
      ? ((await lastingOf(db, [picked], todayOf(settings))).get(picked.id) ?? null)
      : null,
    /** Until this day an order is soon. */
    soon: daysAfter(todayOf(settings), settings.today.orderWithinDays),
    lots,
    lot,
    newLot:
      query.lot === 'new' && picked ? usualLot(picked, todayOf(settings), settings) : null,
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
