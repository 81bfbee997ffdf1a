/** How much of a lot: sheets and parts of them, a length of a roll. */
export function lotAmount(kind: string, amount: number): string {
  if (kind === 'roll') return `${(amount / 1000).toFixed(2)} m of the roll`;
  const figure = Number(amount.toFixed(2));
  return `${figure} ${figure === 1 ? 'sheet' : figure < 1 ? 'of a sheet' : 'sheets'}`;
}
