import type { Channel } from './channel';

/** The studio's own pages: only whoever moves the money takes a share. */
export const ownSite: Channel = {
  id: 'own site',
  commission: 0,
  payment: 0.029,
  fixedHundredths: 30,
};
