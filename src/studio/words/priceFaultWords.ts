import { MOST_MONTHS } from '@/core/price';
import type { JobFault } from '@/core/price';

/** `1`, or `1 to 4`. */
const span = ({ from, to }: JobFault): string =>
  from === to || to === undefined ? `${from}` : `${from} to ${to}`;

/** Why a price job cannot be answered, and what to do. */
export function priceFaultWords(fault: JobFault): string {
  const { what, of } = fault;
  switch (what) {
    case 'currency':
      return `${of} is no currency: its three letters, such as EUR.`;
    case 'nothingAsked':
      return 'Nothing is asked: name routes, channels, a ladder, a printer or sales.';
    case 'quantities':
      return `Batches of ${of} cannot be compared: from 1 at least, to 10 000 at most, the first not above the second.`;
    case 'twice':
      return `${of}: that name is there twice. Give each its own.`;
    case 'noBreaks':
      return `${of}: its list has no price. Name what a print costs from 1 on.`;
    case 'hole':
      return `${of}: its list has no price for ${span(fault)}. Add it, or raise its least quantity.`;
    case 'overlap':
      return `${of}: its list has two prices from ${span(fault)} on. Keep one.`;
    case 'postageHole':
      return `${of}: its list has no postage for ${span(fault)} prints. Add it; of any number: null.`;
    case 'postageOverlap':
      return `${of}: its list has two postages for ${span(fault)} prints. Keep one.`;
    case 'demand':
      return `The demand (${of}) cannot be: means and counts from 0, a dispersion above 0, low not above likely, likely not above high.`;
    case 'noRoute':
      return `There is no route called ${of}.`;
    case 'needsPrice':
      return `${of} needs a price: what is asked for a print.`;
    case 'tooLong':
      return `simulate: ${of} months are too many at once. Take fewer runs or months: ${MOST_MONTHS} in all.`;
    case 'share':
      return `${of}: its shares take all of any price, so nothing is left. Lower them.`;
    case 'anchor':
      return 'The two sizes that the ladder goes through count as equally large: name two that do not.';
  }
}
