import type { PackingMaterial, UsualPiece } from '@/core/pack';
import { formatSizeFigures } from '@/core/units';

export const KIND_WORDS: Record<PackingMaterial['kind'], string> = {
  sleeve: 'sleeve',
  board: 'backing board',
  mailer: 'rigid mailer',
  tube: 'tube',
};

/** What a usual piece is called on the shelf; it can be given another name. */
export const usualName = (piece: UsualPiece): string =>
  `${KIND_WORDS[piece.kind]} ${formatSizeFigures(piece, 'metric', 'en-GB')} cm`;

export const WORDS: Record<string, string> = {
  gone: 'This material was taken out of the drawer meanwhile. What you typed is still here.',
  inUse: 'Pieces of it came in or went out. Only what never moved can be taken out.',
};

/** How much of it is left, and what to do. */
export function leftSentence(m: { stock: number; reorderPoint: number }): string {
  if (m.stock <= 0) return 'None left. What needs it cannot be packed.';
  if (m.reorderPoint > 0 && m.stock <= m.reorderPoint)
    return `At or under the reorder point of ${m.reorderPoint}: order now.`;
  return m.reorderPoint > 0
    ? `Enough: ${m.stock - m.reorderPoint} above the reorder point.`
    : 'No reorder point is set: it is never called low.';
}
