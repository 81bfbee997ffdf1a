import type { PriceView } from '../view';
import type { LadderKnown } from './ladderTypes';

/** What the ladder of a work is made over, of all that the station knows. */
export const ladderKnown = (view: PriceView): LadderKnown => ({
  sizes: view.sizes,
  // One that prints itself has another cost for each size.
  channels: view.channels.filter((c) => c.terms.basePrice === null),
  original: view.original,
  currency: view.currency,
  hour: view.start.hourlyRate,
  pace: view.channelPace,
  papers: view.otherPapers.filter((p) => p.name !== view.paper),
  paper: view.otherPapers.find((p) => p.name === view.paper) ?? null,
  kept: view.keptLadder,
});
