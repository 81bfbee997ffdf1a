import type { Channel } from './channel';

/** A gallery: 30 to 50 per cent are usual; sale or return, paid a month later. */
export const gallery: Channel = {
  id: 'gallery',
  commission: 0.4,
  payment: 0,
  fixedHundredths: 0,
  saleOrReturn: true,
  daysUntilPaid: 30,
};
