import type { Impression } from './impressions';
import { impressionLabel } from './label';
import type { Declaration, Series } from './types';

export type EditionRefusal =
  | 'sizeZero'
  | 'enlarged'
  | 'closedToChange'
  | 'soldOut'
  | 'numberTaken'
  | 'numberOutside'
  | 'neverNumbered'
  | 'alreadySpoiled'
  | 'alreadySold'
  | 'inOrder'
  | 'notFree';

export type Decision<T> =
  { allowed: true; value: T } | { allowed: false; refusal: EditionRefusal };

const yes = <T>(value: T): Decision<T> => ({ allowed: true, value });
const no = (refusal: EditionRefusal): Decision<never> => ({ allowed: false, refusal });

/**
 * May this declaration stand? A limited edition has at least one impression; it is never
 * enlarged (nor opened), and nothing of it changes once a number is out.
 */
export function declare(
  wanted: Declaration,
  declared: Declaration | null,
  impressions: readonly Impression[],
): Decision<Declaration> {
  if (wanted.kind === 'limited' && wanted.size < 1) return no('sizeZero');
  if (declared === null) return yes(wanted);
  if (impressions.length > 0) return no('closedToChange');
  const opened = declared.kind === 'limited' && wanted.kind === 'open';
  const larger =
    declared.kind === 'limited' &&
    (wanted.size > declared.size || wanted.artistsProofs > declared.artistsProofs);
  return opened || larger ? no('enlarged') : yes(wanted);
}

const limitOf = (declaration: Declaration, series: Series): number =>
  series === 'ap'
    ? declaration.artistsProofs
    : declaration.kind === 'limited'
      ? declaration.size
      : Infinity;

const isFree = (impression: Impression | undefined) =>
  impression === undefined || impression.state === 'spoiled';

/**
 * The number to give next: the lowest that is free (never given, or spoiled and destroyed),
 * or the requested one when it is free.
 * @example assign({ kind: 'limited', scope: 'size', size: 30, artistsProofs: 3 }, [], 'number') // { allowed: true, value: 1 }
 */
export function assign(
  declaration: Declaration,
  impressions: readonly Impression[],
  series: Series,
  requested?: number,
): Decision<number> {
  const limit = limitOf(declaration, series);
  const taken = new Map(
    impressions.filter((i) => i.series === series).map((i) => [i.number, i] as const),
  );
  if (requested !== undefined) {
    if (!Number.isInteger(requested) || requested < 1 || requested > limit)
      return no('numberOutside');
    return isFree(taken.get(requested)) ? yes(requested) : no('numberTaken');
  }
  for (let n = 1; n <= Math.min(limit, taken.size + 1); n += 1)
    if (isFree(taken.get(n))) return yes(n);
  return no('soldOut');
}

/**
 * The next number of a series as pencilled; null when all are given out.
 * @example nextLabel({ kind: 'limited', scope: 'size', size: 30, artistsProofs: 3 }, [], 'ap') // 'AP 1/3'
 */
export function nextLabel(
  declaration: Declaration,
  impressions: readonly Impression[],
  series: Series,
): string | null {
  const next = assign(declaration, impressions, series);
  return next.allowed ? impressionLabel(declaration, series, next.value) : null;
}

/**
 * May this impression be recorded as spoiled and destroyed?
 * @example spoil(undefined) // { allowed: false, refusal: 'neverNumbered' }
 */
export function spoil(impression: Impression | undefined): Decision<Impression> {
  if (!impression) return no('neverNumbered');
  if (impression.state === 'spoiled') return no('alreadySpoiled');
  if (impression.state === 'sold' || impression.state === 'lost') return no('alreadySold');
  return impression.state === 'ordered' ? no('inOrder') : yes(impression);
}

const isIn = (
  impression: Impression | undefined,
  state: Impression['state'],
  order: string,
) =>
  impression?.state === state && impression.order === order
    ? yes(impression)
    : no('notFree');

/** May this impression be released by the order it is reserved for, or go out with it? */
export const reservedBy = (
  impression: Impression | undefined,
  order: string,
): Decision<Impression> => isIn(impression, 'ordered', order);

/** May this impression be noted as come back, or lost, from the order it went out with? */
export const soldBy = (
  impression: Impression | undefined,
  order: string,
): Decision<Impression> => isIn(impression, 'sold', order);

/**
 * May this impression be reserved for an order?
 * @example reserve(undefined) // { allowed: false, refusal: 'neverNumbered' }
 */
export function reserve(impression: Impression | undefined): Decision<Impression> {
  if (!impression) return no('neverNumbered');
  return impression.state === 'numbered' ? yes(impression) : no('notFree');
}

/**
 * Rule of thumb: artist's proofs up to this share of the edition, rounded up.
 * @example usualArtistsProofs(25) // 3
 */
export const usualArtistsProofs = (size: number, share = 0.1): number =>
  Math.ceil(size * share);
