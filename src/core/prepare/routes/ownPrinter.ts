import type { RouteKind } from './kind';

/** One’s own printer: nothing is lost on the way, so files go at full depth. */
export const ownPrinter: RouteKind = {
  id: 'ownPrinter',
  usual: { leastPpi: 240, target: 'a98-rgb', press: '', bits: 16, format: 'tiff' },
  here: true,
  answers: false,
  cannot: [],
};
