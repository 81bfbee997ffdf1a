import type { Channel } from './channel';

/** Printed and sent by others when somebody orders: they take their base price, the rest is kept. */
export const printOnDemand: Channel = {
  id: 'print on demand',
  commission: 0,
  payment: 0.029,
  fixedHundredths: 30,
  daysUntilPaid: 30,
  makes: true,
};
