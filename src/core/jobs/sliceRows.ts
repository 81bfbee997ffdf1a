/** Divides `rows` rows into at most `parts` ranges of about the same length, none shorter than `least`. */
export function sliceRows(
  rows: number,
  parts: number,
  least: number,
): { from: number; to: number }[] {
  const count = Math.max(1, Math.min(parts, Math.floor(rows / least)));
  return Array.from({ length: count }, (_, i) => ({
    from: Math.floor((i * rows) / count),
    to: Math.floor(((i + 1) * rows) / count),
  }));
}
