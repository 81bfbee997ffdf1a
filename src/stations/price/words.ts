import type { Format } from '@/shell/figures';
import type { InkCost, PaperCost } from '@/studio';
import { PAPER_COST_FROM } from '@/studio/words/paperWords';
import type { PriceView } from './view';

/** What the paper of a print is known to cost. */
export const paperHint = (
  { amount, currency, from }: PaperCost,
  format: Pick<Format, 'money'>,
): string => `Known: ${format.money(amount, currency)}, ${PAPER_COST_FROM[from]}.`;

/** What the ink of a print is reckoned to cost, and how well that is known. */
export function inkHint(ink: InkCost, format: Pick<Format, 'money' | 'number'>): string {
  const { amount, currency, printer, laid, beside, estimated, cartridges } = ink;
  const rests =
    cartridges === 0
      ? 'by rules of thumb'
      : estimated
        ? 'from the picture'
        : 'as prints are on average';
  return `Ink: ${format.money(amount, currency)} on ${printer}, ${rests}: ${format.number(laid, 1)}\u202fml, and ${format.number(beside, 1)} for cleaning and idle days.`;
}

type Amounts = Pick<Format, 'money' | 'number' | 'percent'>;

/**
 * What is said under the fields of the cost: what is known and what it rests on, or that the
 * figure is a rule of thumb. It stays in sight whatever is typed over it.
 */
export function costHints(
  { rests, made, known }: Pick<PriceView, 'rests' | 'made' | 'known'>,
  format: Amounts,
): Record<string, string | undefined> {
  const { packing, printed, rounds, finishing, postage } = made;
  return {
    printing: rests.ink ? inkHint(rests.ink, format) : undefined,
    paper: rests.paper ? paperHint(rests.paper, format) : undefined,
    packing: packing
      ? `Known: ${format.money(packing.amount, packing.currency)}, ${packing.pieces
          .map((p) => (p.pieces === 1 ? p.name : `${p.pieces} × ${p.name}`))
          .join(', ')}.`
      : 'Rule of thumb: the shelf does not say what packs it, or what that costs.',
    finishing: finishing
      ? `Known: ${format.money(finishing.amount, finishing.currency)}, mat and frame as kept at Finish${
          finishing.every ? '' : '; only where it is asked for: the ladder has framed ones'
        }.`
      : undefined,
    finishingHours: finishing
      ? `Known: ${format.number(finishing.hours, 2)}\u202fh, as said at Finish.`
      : undefined,
    postage: postage
      ? `Where it is free to the buyer: ${format.money(postage.amount, postage.currency)} with ${postage.carrier}, ${postage.service}.`
      : 'Where it is free to the buyer.',
    wear: 'Rule of thumb: what the printer cost, over the prints it will make.',
    donation: 'Of each that is sold.',
    spoilage: printed
      ? `Measured: ${printed.spoiled} of ${printed.good + printed.spoiled} were spoiled.`
      : 'Rule of thumb: too few were numbered to tell.',
    capture:
      known.capture === null
        ? undefined
        : `Known: ${format.money(known.capture, known.currency)}, as said at Capture.`,
    proofs:
      known.proofs === null
        ? undefined
        : `Known: ${format.money(known.proofs, known.currency)}, ${rounds === 1 ? 'one round' : `${rounds} rounds`}.`,
    hourlyRate: known.hourlyRate
      ? `Known: ${format.money(known.hourlyRate, known.currency)}, as said at Capture.`
      : 'Rule of thumb.',
    expectedImpressions:
      known.editionSize === null
        ? 'Rule of thumb; fewer sold makes each dearer.'
        : `The edition has ${known.editionSize}; fewer sold makes each dearer.`,
  };
}
