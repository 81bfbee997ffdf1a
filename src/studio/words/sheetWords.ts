import type { PiecePurpose, PlannedPiece } from '@/core/cut';

export const PURPOSE_WORDS: Record<PiecePurpose, string> = {
  order: 'order',
  edition: 'for the edition',
  proof: 'proof',
  sheet: 'to be judged',
  card: 'card or test',
};

/** What a piece is for, in a few words. */
export const purposeOf = ({ purpose, order }: Pick<PlannedPiece, 'purpose' | 'order'>) =>
  purpose === 'order' && order !== null ? `order ${order}` : PURPOSE_WORDS[purpose];

/** What stands beside a piece on a printed sheet, and in the list of cuts. */
export const pieceWords = (
  piece: Pick<PlannedPiece, 'title' | 'size' | 'purpose' | 'order'>,
): string => [piece.title, piece.size, purposeOf(piece)].filter(Boolean).join(' · ');
