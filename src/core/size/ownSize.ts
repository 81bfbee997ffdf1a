import { MM_PER_INCH, mm, size } from '../units';
import type { SizeUnit } from '../units';
import type { NominalSize } from './nominalSize';

/** Edges of a size that is printed: nothing under 2 cm, nothing over 10 m, no strip over 10 : 1. */
export const LEAST_EDGE = mm(20);
export const MOST_EDGE = mm(10_000);
export const MOST_RATIO = 10;

const UNIT_MM: Record<SizeUnit, number> = { mm: 1, cm: 10, in: MM_PER_INCH };
const DIGITS: Record<SizeUnit, number> = { mm: 1, cm: 2, in: 3 };
const KEY = /^own-(\d+(?:\.\d+)?)x(\d+(?:\.\d+)?)(mm|cm|in)$/;

export type OwnSizeFault = 'small' | 'large' | 'strip';

/** Why a size cannot be printed; null when it can. Edges in mm. */
export function ownSizeFault(width: number, height: number): OwnSizeFault | null {
  const [short, long] = width < height ? [width, height] : [height, width];
  if (!(short >= LEAST_EDGE && long >= LEAST_EDGE)) return 'small';
  if (long > MOST_EDGE) return 'large';
  return long / short > MOST_RATIO ? 'strip' : null;
}

/**
 * The key of an own size, which says all of it: `own-40x50cm`. Edges in mm, in any order.
 * @example ownSizeKey(400, 500, 'cm') // 'own-40x50cm'
 */
export function ownSizeKey(width: number, height: number, unit: SizeUnit): string {
  const said = (edge: number) =>
    String(Number((edge / UNIT_MM[unit]).toFixed(DIGITS[unit])));
  const [short, long] = width < height ? [width, height] : [height, width];
  return `own-${said(short)}x${said(long)}${unit}`;
}

/**
 * The own size that a key says; undefined when it says none, or one that cannot be printed.
 * @example ownSize('own-40x50cm') // { label: '40 × 50 cm', width: 400, height: 500 }
 */
export function ownSize(key: string): NominalSize | undefined {
  const [, short = '', long = '', unit = 'mm'] = KEY.exec(key) ?? [];
  if (short === '') return undefined;
  const factor = UNIT_MM[unit as SizeUnit];
  const edges = size(Number(short) * factor, Number(long) * factor);
  if (ownSizeFault(edges.width, edges.height) || edges.width > edges.height)
    return undefined;
  return { key, family: 'own', label: `${short} × ${long} ${unit}`, ...edges };
}
