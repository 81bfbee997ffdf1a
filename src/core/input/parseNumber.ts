/**
 * Reads a number as people type it: `1234.5`, `1 234,5`, `1.234,50`, `1,234.50`, `7 1/2`.
 * Whichever of comma and point comes last is the decimal mark, unless it comes more than
 * once. Returns null for anything else.
 * @example parseNumber('7 1/2') // 7.5
 */
export function parseNumber(text: string): number | null {
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
