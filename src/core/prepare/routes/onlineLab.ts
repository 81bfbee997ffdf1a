import type { RouteKind } from './kind';

/** A lab that takes files over the net, holds them against its own rules, and answers. */
export const onlineLab: RouteKind = {
  id: 'onlineLab',
  usual: { leastPpi: 200, target: 'a98-rgb', press: '', bits: 8, format: 'tiff' },
  here: false,
  answers: true,
  cannot: [],
};
