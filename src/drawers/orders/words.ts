import type { LineFault, LineKind, LineState, OrderRefusal } from '@/core/order';

export const LINE_KIND_WORDS: Record<LineKind, string> = {
  impression: 'a numbered impression',
  artistsProof: 'an artist’s proof',
  openPrint: 'an unnumbered print',
  goods: 'plain goods',
};

export const LINE_STATE_WORDS: Record<LineState, string> = {
  open: '',
  removed: 'taken out',
  shipped: '✓ shipped',
  returned: '↩ came back whole',
  damaged: '↩ came back damaged',
  lost: '✕ lost on the way',
};

export const LINE_FAULTS: Record<LineFault, string> = {
  noWork: 'Impression: this work is not there any more. Choose another.',
  noPaper: 'Paper: choose the paper it is printed on.',
  notNumbered:
    'Impression: choose one that is numbered and here. Number one at its edition first.',
  otherSize:
    'Impression: it was printed at another size than the page says. Open the form anew.',
  notOffered: 'Print: this size is not on offer any more. Offer it at Size first.',
  limited:
    'Print: this size has a limited edition; only numbered impressions of it are sold. Choose one.',
  noName: 'What they are: is empty. Say it, such as a card or a book.',
  noQuantity: 'How many: a numbered print is one; of other things give 1 or more.',
};

export const ORDER_REFUSALS: Record<OrderRefusal, string> = {
  cancelled: 'This order is cancelled; nothing of it changes any more.',
  shipped: 'This order has left; what comes back is noted at its line.',
  sealedLine: 'Its parcel is sealed. Open the parcel again first.',
  lineGone: 'This line does not belong to the order any more.',
  notShipped: 'This line has not left yet; take it out of the order instead.',
  backAlready: 'It is noted already how this line came back.',
  refundTooMuch: 'Paid back: it is more than the line cost. Give less.',
  lastLine: 'It is the only line of the order. Cancel the order instead.',
  emptyParcel: 'Nothing lies in this parcel.',
};

/** Refusals of rules by their names, as the room says them. */
export const WORDS: Record<string, string> = {
  ...ORDER_REFUSALS,
  noOrder: 'This order is not there. Open the orders drawer anew.',
  noParcel: 'This parcel is not there. Open the order anew.',
  noLine: 'This line is not there. Open the order anew.',
  alreadyShipped: 'This parcel has left already.',
  sealed: 'The parcel is sealed already; its counts, weight and label stand.',
  noLabel: 'Seal and label the parcel first; nothing leaves without its label.',
  notFree:
    'This impression has gone into another order meanwhile, or is reserved for none any more. See its edition.',
  lentOut:
    'This print is out on consignment. Sell it through the channel it hangs in, or fetch it back first: see Consignments.',
  neverNumbered: 'This impression was never numbered. Number it at its edition first.',
  noEdition: 'This edition is not there any more.',
  notCounted: 'Not everything was counted twice yet. Tick each line in both counts.',
  notWeighed: 'Weigh the parcel first.',
  scalesDisagree:
    'The scales disagree with the computed weight. Look again before sealing.',
  changedMeanwhile:
    'The parcel changed while it was being sealed: its counts, its weight or what lies in it. Nothing was sealed; look at it again.',
  sameCustomer: 'These two are one already.',
  gone: 'This customer is not there any more.',
};

const laterTold = (carriers: readonly string[]): string =>
  `${carriers.join(' and ')} could not be told that nothing comes; that is tried again when Glassine starts next.`;

/** What is said of what was done at the bench of an order. */
export const SAID = {
  sealed: 'Sealed: certificates, packing slip and label are made.',
  notPrinted:
    'Sealed, and its documents are made. The label printer did not take the label: open it from the documents, and print it there.',
  opened: 'Opened again; its booking is voided.',
  openedUntold: (carriers: readonly string[]) => `Opened again. ${laterTold(carriers)}`,
  cancelled: 'Cancelled; its numbers are free again.',
  cancelledUntold: (carriers: readonly string[]) =>
    `Cancelled; its numbers are free again. ${laterTold(carriers)}`,
};
