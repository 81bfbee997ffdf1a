import type { Channel } from './channel';

/** A fair: the card reader's share of a sale; stall, travel and a day's work of the day. */
export const fair: Channel = {
  id: 'fair',
  commission: 0,
  payment: 0.0175,
  fixedHundredths: 0,
  day: { hundredths: 9000, hours: 10 },
};
