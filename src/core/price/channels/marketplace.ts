import type { Channel } from './channel';

/** A marketplace: a share of the price, a share of the payment, a listing fee. */
export const marketplace: Channel = {
  id: 'marketplace',
  commission: 0.065,
  payment: 0.04,
  fixedHundredths: 50,
};
