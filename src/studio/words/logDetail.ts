import type { LogLine } from '@/data';

/** What a line of the log book holds beside what it is about. */
export type Detail = LogLine['detail'];

/** A part of it in words; empty where it says nothing of it. */
export const plain = (d: Detail, key: string): string =>
  d[key] === null || d[key] === undefined ? '' : String(d[key]);
