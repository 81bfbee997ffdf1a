import type { Channel } from './channel';

/** A gallery: 30 to 50 per cent are usual. */
export const gallery: Channel = {
  id: 'gallery',
  commission: 0.4,
  payment: 0,
  fixedHundredths: 0,
};
