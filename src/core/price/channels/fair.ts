import type { Channel } from './channel';

/** A fair: the card reader's share; stall and travel are reckoned with the day. */
export const fair: Channel = {
  id: 'fair',
  commission: 0,
  payment: 0.0175,
  fixedHundredths: 0,
};
