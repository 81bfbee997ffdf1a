import { choice, defineForm, hinted, optional, rowNumber, text, whole } from '@/core/input';
import type { Field } from '@/core/input';

const sizeKey: Field<string> = { ...text('Size', { max: 40 }), hidden: true };
const series = choice('Series', ['number', 'ap']);

/** What an edition is declared with. */
export const declareForm = defineForm({
  workId: rowNumber('Work'),
  sizeKey,
  kind: choice('Kind', ['limited', 'open']),
  scope: choice('School', ['perSize', 'allSizes']),
  size: whole('Edition of', { min: 0, max: 100_000 }),
  artistsProofs: hinted(
    whole('Artist’s proofs', { min: 0, max: 1000 }),
    'rule of thumb: up to a tenth, outside the numbering',
  ),
});

const editionId = rowNumber('Edition');

/** A number that is given out: the next, or the one asked for. */
export const assignForm = defineForm({
  editionId,
  sizeKey,
  series,
  requested: optional(whole('Number', { min: 1, max: 100_000 })),
  shown: optional(text('Number shown', { max: 40 })),
  /** A print that was cut from a sheet and waits for its number; none: it takes its paper now. */
  pieceId: optional(rowNumber('Print')),
  /** Why it is numbered though no approved proof holds for it. */
  overruled: text('Without a valid reference, because', { min: 0, max: 300 }),
});

/** A print that was spoiled before it had a number. */
export const spoiledPieceForm = defineForm({
  pieceId: rowNumber('Print'),
  reason: text('What spoiled it', { max: 300 }),
});

/** An impression that was spoiled. */
export const spoilForm = defineForm({
  editionId,
  series: { ...series, hidden: true },
  number: { ...whole('Number', { min: 1 }), hidden: true },
  reason: text('What spoiled it', { max: 300 }),
});
