import { minor } from '../units';
import type { Minor } from '../units';
import { lengthOfRoll, piecesOfSheet } from './lots';
import type { Extent, LotKind } from './lots';

/** As what a paper is sold: sheets of a size, or rolls. */
export interface PaperFormat {
  kind: LotKind;
  /** mm; `height` of a roll is its length. */
  width: number;
  height: number;
  /** What a roll is wound on: inside diameter, mm; null where nobody said. */
  core: number | null;
  /** Of one sheet, or of the whole roll. */
  price: Minor;
  currency: string;
  supplier: string;
  /** Of the price: an ISO day; null: of before days were kept with it. */
  day: string | null;
  /** Noted as a price, paid for a delivery, or the usual sheet as the paper itself says. */
  from: 'noted' | 'delivery' | 'paper';
}

/** What tells one from another: its kind and size. */
export type FormatSize = Pick<PaperFormat, 'kind' | 'width' | 'height'>;

/** The same as it was noted: also that it is no longer sold so. */
export type NotedFormat = PaperFormat & { sold: boolean };

/** What a price may be of. */
export const PRICED_BY = ['sheet or roll', 'running metre', 'running foot'] as const;
export type PricedBy = (typeof PRICED_BY)[number];

const RUN: Record<PricedBy, number | null> = {
  'sheet or roll': null,
  'running metre': 1000,
  'running foot': 304.8,
};

/**
 * What the whole roll costs where the price is of a running metre or foot, to the minor unit.
 * @example wholePrice(minor(980), 'running metre', 15_000) // 14700
 */
export const wholePrice = (price: Minor, by: PricedBy, length: number): Minor => {
  const run = RUN[by];
  return run === null ? price : minor(Math.round((price * length) / run));
};

/** Why a format cannot be: of which of its figures, in a sentence; null where it can. */
export function formatFault(
  format: Pick<PaperFormat, 'kind' | 'height' | 'core' | 'width'>,
  by: PricedBy,
): { field: 'height' | 'core' | 'per'; words: string } | null {
  const { kind, height, core } = format;
  if (kind === 'roll') return null;
  if (height > LONGEST_SHEET)
    return {
      field: 'height',
      words:
        'Height: a sheet is 5 m long at most. Where it is a roll, say that it comes as one.',
    };
  if (core !== null)
    return { field: 'core', words: 'Core: only a roll has one. Leave it empty.' };
  return RUN[by] === null
    ? null
    : {
        field: 'per',
        words:
          'Price is of: a sheet is not sold by its length. Give the price of one sheet.',
      };
}

/** mm: beyond it paper comes as a roll. */
export const LONGEST_SHEET = 5000;

const tenths = (mm: number) => Math.round(mm * 10);

/**
 * Kind and size in one word; sheets of one size are one format whichever way they lie.
 * @example formatKey({ kind: 'sheet', width: 594, height: 420 }) // 'sheet 4200 5940'
 */
export const formatKey = ({ kind, width, height }: FormatSize): string => {
  const sides = [tenths(width), tenths(height)];
  if (kind === 'sheet') sides.sort((a, b) => a - b);
  return `${kind} ${sides.join(' ')}`;
};

/** Whether two are the same kind and size. */
export const sameFormat = (a: FormatSize, b: FormatSize): boolean =>
  formatKey(a) === formatKey(b);

/** The usual sheet of a paper, as it says itself. */
export const usualFormat = (paper: {
  sheetWidth: number;
  sheetHeight: number;
  price: Minor;
  currency: string;
  supplier: string;
  priceOn: string | null;
}): PaperFormat => ({
  kind: 'sheet',
  width: paper.sheetWidth,
  height: paper.sheetHeight,
  core: null,
  price: paper.price,
  currency: paper.currency,
  supplier: paper.supplier,
  day: paper.priceOn,
  from: 'paper',
});

const area = ({ width, height }: Extent) => width * height;

/**
 * As what a paper is sold now: of each kind and size what was noted last (of one day, what comes
 * later in the list). Sheets before rolls, small before large.
 */
export function formatsNow(noted: readonly NotedFormat[]): PaperFormat[] {
  const newest = new Map<string, NotedFormat>();
  for (const format of noted) {
    const key = formatKey(format);
    const before = newest.get(key);
    if (!before || (format.day ?? '') >= (before.day ?? ''))
      newest.set(key, {
        ...format,
        core: format.core ?? before?.core ?? null,
        supplier: format.supplier || (before?.supplier ?? ''),
      });
  }
  return [...newest.values()]
    .filter((f) => f.sold)
    .map(({ sold: _, ...format }) => format)
    .sort((a, b) =>
      a.kind === b.kind
        ? area(a) - area(b) || a.width - b.width
        : a.kind === 'sheet'
          ? -1
          : 1,
    );
}

/**
 * What a square metre of it costs, in minor units, not rounded.
 * @example perSquareMetre({ width: 1000, height: 500, price: 400 }) // 800
 */
export const perSquareMetre = (format: Extent & { price: number }): number =>
  (format.price * 1e6) / area(format);

/** Those of which a price is known: what came for nothing says none. All of them in one currency, or none. */
function comparable(formats: readonly PaperFormat[]): PaperFormat[] {
  const priced = formats.filter((f) => f.price > 0);
  return new Set(priced.map((f) => f.currency)).size === 1 ? priced : [];
}

/**
 * The format of which a square metre costs least; null where no price is known, or they are not in
 * one currency.
 */
export function cheapestByArea(formats: readonly PaperFormat[]): PaperFormat | null {
  const priced = comparable(formats);
  if (priced.length === 0) return null;
  return priced.reduce((a, b) => (perSquareMetre(b) < perSquareMetre(a) ? b : a));
}

export interface Bought {
  format: PaperFormat;
  /** What part of it one print takes. */
  share: number;
  cost: Minor;
}

/**
 * The format from which one print comes cheapest, of the sheets its share as one of as many as can
 * be cut from it, of a roll the length that it lies on; null where it lies on none of which a price
 * is known, or they are not in one currency. mm.
 */
export function boughtFor(print: Extent, formats: readonly PaperFormat[]): Bought | null {
  const ways = comparable(formats).flatMap((format): Bought[] => {
    const pieces = format.kind === 'sheet' ? piecesOfSheet(print, format) : 0;
    const run = format.kind === 'roll' ? lengthOfRoll(print, format.width) : null;
    const share =
      pieces > 0
        ? 1 / pieces
        : run !== null && run <= format.height
          ? run / format.height
          : 0;
    return share > 0
      ? [{ format, share, cost: minor(Math.round(format.price * share)) }]
      : [];
  });
  if (ways.length === 0) return null;
  return ways.reduce((a, b) => (b.cost < a.cost ? b : a));
}

/**
 * So many sheets of the usual size as they are bought: the usual format at its newest price, and
 * `instead` what comes cheaper for at least as much area: as many rolls or other sheets as that is.
 * Rolls and larger sheets are cut first; what that wastes is not reckoned.
 */
export function boughtAs(
  quantity: number,
  own: PaperFormat,
  formats: readonly PaperFormat[],
): {
  usual: PaperFormat;
  instead: { format: PaperFormat; quantity: number; price: Minor } | null;
} {
  const usual = formats.find((f) => sameFormat(f, own)) ?? own;
  const others = formats.flatMap((format) => {
    // A smaller one holds none of its sheets.
    const holds =
      format.kind === 'roll'
        ? lengthOfRoll(usual, format.width) !== null
        : piecesOfSheet(usual, format) > 0;
    const known = format.price > 0 && format.currency === usual.currency;
    if (!known || !holds || sameFormat(format, usual)) return [];
    const pieces = Math.ceil((quantity * area(usual)) / area(format) - 1e-9);
    return [{ format, quantity: pieces, price: minor(pieces * format.price) }];
  });
  const best = others.reduce<(typeof others)[number] | null>(
    (a, b) => (a === null || b.price < a.price ? b : a),
    null,
  );
  return { usual, instead: best && best.price < quantity * usual.price ? best : null };
}

/**
 * Whether a roll holder takes a roll by its core, mm; what nobody said hinders nothing. A core is
 * called by its inside diameter and made to about two millimetres.
 * @example holderTakes({ coreFrom: 50.8, coreTo: 76.2 }, 25.4) // false
 */
export function holderTakes(
  { coreFrom, coreTo }: { coreFrom: number | null; coreTo: number | null },
  core: number | null,
): boolean {
  if (core === null) return true;
  const least = coreFrom ?? coreTo;
  const most = coreTo ?? coreFrom;
  return least === null || most === null || (core >= least - 2 && core <= most + 2);
}
