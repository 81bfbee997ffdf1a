import type { LotUseShown } from '@/data';

/** Uses of one day for one reason, that follow each other, as one line; what a print took stays by itself. */
export function foldedUses(uses: readonly LotUseShown[]): LotUseShown[] {
  const lines: LotUseShown[] = [];
  for (const use of uses) {
    const last = lines.at(-1);
    const alike =
      last?.entryId === null &&
      use.entryId === null &&
      last.kind === use.kind &&
      last.reason === use.reason &&
      last.lotId === use.lotId &&
      last.at.slice(0, 10) === use.at.slice(0, 10);
    if (alike) lines[lines.length - 1] = { ...last, amount: last.amount + use.amount };
    else lines.push(use);
  }
  return lines;
}
