import { nearestPrints, proposedRecipe } from '@/core/log';
import type { PrintCase, RememberedPrint } from '@/core/log';
import { nominalSize } from '@/core/size';
import {
  MOST_CHOICES,
  PAGE_LINES,
  askedOf,
  countEntries,
  offsetOf,
  opinionsNow,
  paperOfEntries,
  papersToPrintOn,
  readEntries,
  titlesOf,
  workTitles,
} from '@/data';
import type { EntryFilter, PrintEntry, Reading } from '@/data';
import { rowId, studio } from '@/studio';
import { IN_ADDRESSES, defineForm, decimal, optional, text, whole } from '@/core/input';
import { ENTRY_KINDS } from './words';

type Query = Record<string, string | undefined>;

const question = defineForm({
  factor: optional(decimal('Enlarged', { min: 0.01, max: 100 })),
  source: optional(text('Source', { max: 40 })),
  detail: optional(decimal('Detail', { min: 0, max: 1 })),
  on: optional(whole('Paper', { min: 1 })),
});

/** Entries that a question is held against, and that are shown for it. */
const MOST_REMEMBERED = 3000;
const NEAREST = 12;

export const filterOf = (query: Query): EntryFilter => {
  const workId = rowId(query.work ?? '');
  const paperId = rowId(query.paper ?? '');
  const kind = (Object.keys(ENTRY_KINDS) as (keyof typeof ENTRY_KINDS)[]).find(
    (k) => k === query.kind,
  );
  return {
    ...(workId ? { workId } : {}),
    ...(paperId ? { paperId } : {}),
    ...(kind ? { kind } : {}),
    ...(query.find?.trim() ? { words: query.find.trim().slice(0, 100) } : {}),
  };
};

/** Entries with their titles, sizes and what is thought of them. */
export async function withWords(db: Reading, entries: PrintEntry[]) {
  const ids = entries.map((e) => e.id);
  const [titles, opinions, papers] = await Promise.all([
    titlesOf(db, [...new Set(entries.flatMap((e) => e.workId ?? []))]),
    opinionsNow(db, ids),
    paperOfEntries(db, ids),
  ]);
  return entries.map((entry) => ({
    ...entry,
    title: (entry.workId !== null && titles.get(entry.workId)) || 'several works',
    size: entry.sizeKey ? (nominalSize(entry.sizeKey)?.label ?? entry.sizeKey) : '',
    thought: opinions.get(entry.id) ?? null,
    took: papers.get(entry.id) ?? null,
  }));
}

export type PrintRow = Awaited<ReturnType<typeof withWords>>[number];

/** Of prints that are alike and of which nothing was said (an edition's numbers), the newest only. */
function alikeOnce<P extends PrintEntry & RememberedPrint>(prints: P[]): P[] {
  const seen = new Set<string>();
  return prints.filter((p) => {
    if (p.opinion !== null) return true;
    const key = JSON.stringify([
      p.kind,
      p.workId,
      p.sizeKey,
      p.paperId,
      p.factor,
      p.recipe,
    ]);
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** The nearest entries to what is asked, and a recipe out of them; null when nothing is asked. */
async function answerTo(db: Reading, query: Query, filter: EntryFilter) {
  const read = question.read(query, IN_ADDRESSES);
  if (!read.ok || read.value.factor === null) return null;
  const { factor, source, detail, on } = read.value;
  const paper =
    on === null
      ? undefined
      : (await papersToPrintOn(db, MOST_CHOICES)).find((p) => p.id === on);
  const asked: PrintCase = {
    factor,
    source,
    detail,
    paperId: on,
    base: paper?.base ?? null,
    surface: paper?.surface ?? null,
  };
  const entries = await readEntries(db, filter, MOST_REMEMBERED);
  const thought = await opinionsNow(
    db,
    entries.map((e) => e.id),
  );
  // A settings sheet is in many recipes at once: what is thought of it is of none of them.
  const remembered = entries.flatMap((e): (PrintEntry & RememberedPrint)[] =>
    e.kind !== 'settingsSheet' && e.factor !== null && e.recipe
      ? [
          {
            ...e,
            factor: e.factor,
            recipe: e.recipe,
            opinion: thought.get(e.id)?.opinion ?? null,
          },
        ]
      : [],
  );
  const near = nearestPrints(asked, alikeOnce(remembered), NEAREST);
  // A recipe comes from prints that were judged, the nearest of them.
  const judged = nearestPrints(
    asked,
    remembered.filter((p) => p.opinion !== null),
    NEAREST,
  );
  const rows = await withWords(
    db,
    near.map((n) => entries.find((e) => e.id === n.print.id)!),
  );
  return {
    asked,
    near: near.map(({ distance, because }, i) => ({ ...rows[i]!, distance, because })),
    proposed: proposedRecipe(judged),
    judged: near.filter((n) => n.print.opinion !== null).length,
  };
}

/** The log book of what was printed: filtered, searched, or asked. */
export async function loadPrints(query: Query) {
  const db = (await studio()).db.read;
  const filter = filterOf(query);
  const asked = askedOf(query);
  const [entries, total, works, papers, answer] = await Promise.all([
    readEntries(db, filter, PAGE_LINES, offsetOf(asked)),
    countEntries(db, filter),
    workTitles(db, MOST_CHOICES),
    papersToPrintOn(db, MOST_CHOICES),
    answerTo(db, query, filter),
  ]);
  return {
    page: { rows: await withWords(db, entries), total, page: asked.page },
    asked,
    query,
    works,
    papers: papers.map(({ id, name, surface }) => ({ id, name, surface })),
    answer,
    /** The work and size that the question came from. */
    from: query.for ? { workId: rowId(query.for), sizeKey: query.size ?? '' } : null,
  };
}

export type PrintsView = Awaited<ReturnType<typeof loadPrints>>;
