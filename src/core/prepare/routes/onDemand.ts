import type { RouteKind } from './kind';

/** Printed one by one when somebody orders, and sent to them: nobody of the studio sees the print. */
export const onDemand: RouteKind = {
  id: 'onDemand',
  usual: { leastPpi: 150, target: 'srgb', press: '', bits: 8, format: 'jpeg' },
  here: false,
  answers: false,
  cannot: ['number', 'sign', 'proof', 'inspect'],
};
