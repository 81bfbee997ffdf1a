import { sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Reading } from './reading';

/** Lines of one page of a list. */
export const PAGE_LINES = 30;

/** Lines of a list as it is printed, on one long page. */
export const PRINTED_LINES = 1000;

/** Of orders and customers, which are many, only the newest so many are found; it is said. */
export const MOST_FOUND = 2000;

/** Lines of a choice list at most; what is further is found by typing. */
export const MOST_CHOICES = 200;

/** What part of a list is asked for. */
export interface Asked {
  /** Key of a column; unknown ones fall back to the list's own order. */
  sort: string | null;
  down: boolean;
  /** From 1. */
  page: number;
  /** Words or a number n/N to find; empty for all. */
  find: string;
  /** Lines a page. */
  lines: number;
}

export const ALL: Asked = { sort: null, down: false, page: 1, find: '', lines: PAGE_LINES };

export interface Page<T> {
  rows: T[];
  /** Lines over all pages. */
  total: number;
  /** More were found than are shown: these are the newest. */
  newestOnly?: boolean;
  page: number;
}

/** Reads an address's `sort`, `down`, `page` and `find`; nonsense falls back to the start. */
export function askedOf(
  query: Record<string, string | undefined>,
  lines = query.print === '1' ? PRINTED_LINES : PAGE_LINES,
): Asked {
  const page = Number(query.page);
  return {
    sort: query.sort ?? null,
    down: query.down === '1',
    page: Number.isInteger(page) && page > 0 && page < 1e6 ? page : 1,
    find: (query.find ?? '').trim().slice(0, 100),
    lines,
  };
}

export const offsetOf = ({ page, lines }: Asked): number => (page - 1) * lines;

/** Order of a list: the asked column, then the newest first. */
export function orderOf(asked: Asked, columns: Record<string, SQL>, usual: SQL): SQL {
  const { sort } = asked;
  const column = sort !== null && Object.hasOwn(columns, sort) ? columns[sort] : null;
  if (!column) return usual;
  return asked.down ? sql`${column} desc` : sql`${column} asc`;
}

/**
 * What was typed as a full-text query: every word must begin a word of the text. Null when
 * nothing in it can be looked for.
 */
export function matchOf(find: string): string | null {
  const words = find.match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.length === 0 ? null : words.map((w) => `"${w}"*`).join(' ');
}

/** What can be found by its words. */
export type Searched = 'work' | 'paper' | 'order' | 'customer';

const FOUND_OF: Readonly<Record<Searched, number>> = {
  work: -1,
  paper: -1,
  order: MOST_FOUND + 1,
  customer: MOST_FOUND + 1,
};

/** Ids of what is found under a full-text query, one kind at a time: others cost nothing. */
export const idsFound = (kind: Searched, match: string): SQL => {
  const words = sql.raw(`${kind}_search`);
  return sql`(SELECT rowid AS id FROM ${words} WHERE ${words} MATCH ${match} ORDER BY rowid DESC LIMIT ${FOUND_OF[kind]})`;
};

/** Condition that `id` is that of something found under the words; true where none were typed. */
export function wordsFound(id: SQL, kind: Searched, find: string): SQL {
  const match = matchOf(find);
  return match === null ? sql`true` : sql`${id} IN ${idsFound(kind, match)}`;
}

/** What was found, read once: a set of ids, and whether it is cut at MOST_FOUND. */
export async function foundOnce(db: Reading, ids: SQL) {
  const rows = await db.all<{ id: number }>(
    sql`SELECT id FROM ${ids} ORDER BY id DESC LIMIT ${MOST_FOUND + 1}`,
  );
  const all = rows.slice(0, MOST_FOUND).map((row) => row.id);
  return {
    among: sql`(SELECT value FROM json_each(${JSON.stringify(all)}))`,
    newestOnly: rows.length > MOST_FOUND,
  };
}

/** How many there are of something that is kept counted. */
export const tallied = (...what: string[]): SQL<number> =>
  sql`(SELECT coalesce(sum(n), 0) FROM tally WHERE what IN ${what})`;

/** A pencilled number `n/N`, if that is what was typed. */
export function numberOf(find: string): { number: number; of: number } | null {
  const match = /^\s*(\d{1,6})\s*\/\s*(\d{1,6})\s*$/.exec(find);
  return match ? { number: Number(match[1]), of: Number(match[2]) } : null;
}
