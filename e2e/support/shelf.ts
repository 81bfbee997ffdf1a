import { USUAL_STOCK } from '@/core/pack';
import type { PackingMaterial } from '@/core/pack';
import { minor } from '@/core/units';
import { usualName } from '@/drawers/materials/words';

/** A shelf with five of each usual piece of packing material. */
export const SHELF = USUAL_STOCK.map((piece, id): PackingMaterial => {
  const { kind, width, height, thickness, mass } = piece;
  const common = { id, name: usualName(piece), mass, cost: minor(0), stock: 5 };
  return kind === 'tube'
    ? { ...common, kind, diameter: width, length: height, wall: thickness }
    : { ...common, kind, width, height, thickness };
});
