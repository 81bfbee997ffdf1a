import type { Series } from '../edition';
import type { Field } from '../input';

/** What a line of prints names: an impression by its number, or a print of a size by its work. */
export type LineItem =
  | {
      of: 'impression';
      editionId: number;
      series: Series;
      number: number;
      sizeKey?: string;
    }
  | { of: 'openPrint'; workId: number; sizeKey: string };

/** Whole numbers that are exact. */
const count = { type: 'integer', minimum: 1, maximum: Number.MAX_SAFE_INTEGER };
const key = { type: 'string', minLength: 1, maxLength: 60 };

/**
 * Reads what a list of prints sends: `edition:series:number`, with the size behind it or
 * without, or `work:size`. Null for anything else.
 * @example readItem('3:ap:2') // { of: 'impression', editionId: 3, series: 'ap', number: 2 }
 */
export function readItem(typed: string): LineItem | null {
  const numbered = /^(\d{1,15}):(number|ap):(\d{1,15})(?::([^:]{1,60}))?$/.exec(typed);
  if (numbered) {
    const [, edition, series, number, sizeKey] = numbered;
    return {
      of: 'impression',
      editionId: Number(edition),
      series: series as Series,
      number: Number(number),
      ...(sizeKey ? { sizeKey } : {}),
    };
  }
  const [, work, sizeKey] = /^(\d{1,15}):([^:]{1,60})$/.exec(typed) ?? [];
  return work && sizeKey ? { of: 'openPrint', workId: Number(work), sizeKey } : null;
}

/** The field in which one print of a list is chosen. */
export const itemField = (
  said: Pick<Field<LineItem>, 'title' | 'example'>,
): Field<LineItem> => ({
  ...said,
  schema: {
    type: 'object',
    additionalProperties: false,
    required: ['of'],
    properties: {
      of: { type: 'string', enum: ['impression', 'openPrint'] },
      editionId: count,
      series: { type: 'string', enum: ['number', 'ap'] },
      number: count,
      workId: count,
      sizeKey: key,
    },
  },
  longest: 200,
  read: readItem,
  say: String,
  write: (item) =>
    item.of === 'openPrint'
      ? `${item.workId}:${item.sizeKey}`
      : [item.editionId, item.series, item.number, item.sizeKey].filter(Boolean).join(':'),
});
