import { sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';

/** Lines of one page of a list. */
export const PAGE_LINES = 30;

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
  page: number;
}

/** Reads an address's `sort`, `down`, `page` and `find`; nonsense falls back to the start. */
export function askedOf(query: Record<string, string | undefined>): Asked {
  const page = Number(query.page);
  return {
    sort: query.sort ?? null,
    down: query.down === '1',
    page: Number.isInteger(page) && page > 0 && page < 1e6 ? page : 1,
    find: (query.find ?? '').trim().slice(0, 100),
    lines: PAGE_LINES,
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

/** A pencilled number `n/N`, if that is what was typed. */
export function numberOf(find: string): { number: number; of: number } | null {
  const match = /^\s*(\d{1,6})\s*\/\s*(\d{1,6})\s*$/.exec(find);
  return match ? { number: Number(match[1]), of: Number(match[2]) } : null;
}
