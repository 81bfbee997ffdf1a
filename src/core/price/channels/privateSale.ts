import type { Channel } from './channel';

/** From hand to hand: nobody takes anything of it. */
export const privateSale: Channel = {
  id: 'private',
  commission: 0,
  payment: 0,
  fixedHundredths: 0,
};
