import type { Channel } from './channel';

/** The studio's own pages: whoever moves the money takes a share; pages and domain cost by the month. */
export const ownSite: Channel = {
  id: 'own site',
  commission: 0,
  payment: 0.029,
  fixedHundredths: 30,
  perMonthHundredths: 1200,
  daysUntilPaid: 3,
};
