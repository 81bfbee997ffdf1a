import type { Channel } from './channel';

/** A marketplace: a share of the price, a share of the payment, a fixed fee, a fee for each listing. */
export const marketplace: Channel = {
  id: 'marketplace',
  commission: 0.065,
  payment: 0.04,
  fixedHundredths: 50,
  listing: { hundredths: 20, months: 4 },
  daysUntilPaid: 7,
};
