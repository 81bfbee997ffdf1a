import { currencyDigits, minor } from '../units';
import type { Millimetres, Minor, UnitMode } from '../units';
import { FACTORS, UNIT_AT_END, inMillimetres } from './lengthUnits';

/*
 * Text that an earlier version kept as it was typed is read as that version read it, so that
 * what was kept does not change its meaning. Nothing that is typed now comes here.
 */

/**
 * A number as the first version read it: whichever of comma and point comes last is the decimal
 * mark, unless it comes more than once. Null for anything else.
 */
export function numberTypedBefore(text: string): number | null {
  const trimmed = text.trim().replace(/[\u00a0\u2009\u202f]/g, ' ');
  const fraction = /^(?:(-?\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(trimmed);
  if (fraction) {
    const [, whole = '0', top, bottom] = fraction;
    if (Number(bottom) === 0) return null;
    const part = Number(top) / Number(bottom);
    return whole.startsWith('-') ? Number(whole) - part : Number(whole) + part;
  }
  const compact = trimmed.replace(/\s/g, '');
  if (!/^-?[\d.,]+$/.test(compact) || !/\d/.test(compact)) return null;
  const lastComma = compact.lastIndexOf(',');
  const lastPoint = compact.lastIndexOf('.');
  const mark = lastComma > lastPoint ? ',' : '.';
  const other = mark === ',' ? '.' : ',';
  const marks = compact.split(mark).length - 1;
  const plain = compact.split(other).join('');
  const result = Number(marks > 1 ? plain.split(mark).join('') : plain.replace(mark, '.'));
  return Number.isFinite(result) ? result : null;
}

/** Money as the first version read it, in minor units. */
export function moneyTypedBefore(text: string, currency: string): Minor | null {
  const value = numberTypedBefore(text.replace(/[\p{Sc}A-Za-z]/gu, ''));
  return value === null ? null : minor(value * 10 ** currencyDigits(currency));
}

/** A length as the first version read it, in mm. */
export function lengthTypedBefore(text: string, mode: UnitMode): Millimetres | null {
  const match = UNIT_AT_END.exec(text.trim());
  if (!match) return null;
  const value = numberTypedBefore(match[1] ?? '');
  const factor = FACTORS[match[2]?.toLowerCase() ?? (mode === 'metric' ? 'mm' : 'in')];
  return value === null || factor === undefined ? null : inMillimetres(value, factor);
}
