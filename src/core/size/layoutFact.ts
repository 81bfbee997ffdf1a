import { defineVersioned, numbersIn } from '../facts';
import { mm } from '../units';
import { plainLayout } from './layout';
import type { Fit, Layout } from './layout';

const FITS: unknown[] = ['within', 'fill', 'cut'];

/** How a picture meets its sheet, as it is stored. */
export const LAYOUT = defineVersioned<Layout>({
  name: 'layout',
  upgrades: [
    // Version 0: as it is now; before that one border all round.
    (old) =>
      'borders' in old
        ? old
        : { ...plainLayout(old.fit as Fit, mm(Number(old.border ?? old.borderMm ?? 0))) },
  ],
  holds: (v) =>
    FITS.includes(v.fit) &&
    (v.place === 'inside' || v.place === 'outside') &&
    numbersIn(v, 'bleed', 'deckle') &&
    numbersIn(v.borders, 'above', 'right', 'below', 'left'),
});
