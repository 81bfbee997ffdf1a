import type { RouteKind } from './kind';

/** A print studio that is visited: someone there looks at each file, and says by word what is wrong. */
export const printStudio: RouteKind = {
  id: 'printStudio',
  usual: { leastPpi: 200, target: 'a98-rgb', press: '', bits: 16, format: 'tiff' },
  here: false,
  answers: false,
  cannot: [],
};
