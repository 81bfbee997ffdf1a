import { numberFormat } from './intl';
import { toInches } from './length';
import type { Size } from './length';
import type { UnitMode } from './unitMode';
import type { Millimetres } from './quantity';

/** Thin, unbreakable space between a figure and its unit. */
export const THIN = '\u202f';

/** A bare figure with at most so many decimal places, without groups; no minus before nought. */
export const figure = (n: number, digits: number, locale: string) =>
  numberFormat(locale, {
    maximumFractionDigits: digits,
    useGrouping: false,
  }).format(Object.is(Math.round(n * 10 ** digits), -0) ? 0 : n);

/**
 * Millimetres (to a tenth under 100 mm) or inches (to a hundredth), unit written.
 * @example formatLength(mm(84.64), 'metric', 'en-GB') // '84.6 mm'
 */
export const formatLength = (
  length: Millimetres,
  mode: UnitMode,
  locale: string,
): string =>
  mode === 'metric'
    ? `${figure(length, Math.abs(length) < 100 ? 1 : 0, locale)}${THIN}mm`
    : `${figure(toInches(length), 2, locale)}${THIN}in`;

/**
 * How thick a sheet is: millimetres, or thousandths of an inch (mil).
 * @example formatThickness(mm(0.38), 'inch', 'en-US') // '15 mil'
 */
export const formatThickness = (
  thickness: Millimetres,
  mode: UnitMode,
  locale: string,
): string =>
  mode === 'metric'
    ? `${formatNumber(thickness, 2, locale)}${THIN}mm`
    : `${figure(toInches(thickness) * 1000, 1, locale)}${THIN}mil`;

/** A distance between eye and print: centimetres up to 1 m, then metres; or inches, feet. */
export function formatDistance(
  length: Millimetres,
  mode: UnitMode,
  locale: string,
): string {
  if (mode === 'inch') {
    const inch = toInches(length);
    return inch < 48
      ? `${figure(inch, 0, locale)}${THIN}in`
      : `${figure(inch / 12, 1, locale)}${THIN}ft`;
  }
  return length < 1000
    ? `${figure(length / 10, 0, locale)}${THIN}cm`
    : `${figure(length / 1000, 1, locale)}${THIN}m`;
}

/**
 * The two figures of a print size without unit, as on a label: `50 × 70` cm or inches.
 * @example formatSizeFigures(size(500, 700), 'metric', 'en-GB') // '50 × 70'
 */
export const formatSizeFigures = (s: Size, mode: UnitMode, locale: string): string =>
  mode === 'metric'
    ? `${figure(s.width / 10, 1, locale)} × ${figure(s.height / 10, 1, locale)}`
    : `${figure(toInches(s.width), 2, locale)} × ${figure(toInches(s.height), 2, locale)}`;

/** A print size with its unit: `50 × 70 cm`, `20 × 28 in`. */
export const formatSize = (s: Size, mode: UnitMode, locale: string): string =>
  `${formatSizeFigures(s, mode, locale)}${THIN}${mode === 'metric' ? 'cm' : 'in'}`;

/**
 * A bare figure in the locale.
 * @example formatNumber(1234.56, 1, 'en-GB') // '1234.6'
 */
export const formatNumber = (n: number, digits: number, locale: string): string =>
  numberFormat(locale, {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
    useGrouping: Math.abs(n) >= 10000,
  }).format(n);
