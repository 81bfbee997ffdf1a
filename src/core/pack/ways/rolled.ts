import { grams, minus, mm, sum } from '../../units';
import type { GramsPerSquareMetre, Millimetres } from '../../units';
import type { Contents } from '../contents';
import { sides } from '../liesInside';
import type { PackRules } from '../rules';
import type { PackingMaterial, Tube } from '../stock';
import type { Lacking, Way } from './way';

/** Prints rolled with tissue between them, in one tube. */
export interface RolledPacking {
  way: 'rolled';
  tube: Tube;
  /** End play: how much longer the tube is than the widest roll. */
  spare: Millimetres;
}

/**
 * Tube inside diameter from the paper's weight: about 50 mm to 250 g/m2, 75 mm above. Rule of thumb.
 * @example tubeDiameter(gsm(308), PACK_RULES) // 75
 */
export const tubeDiameter = (weight: GramsPerSquareMetre, rules: PackRules): Millimetres =>
  mm(weight <= rules.thinTubeUpTo ? rules.thinTube : rules.thickTube);

/**
 * The tube that prints need: inside diameter (what the paper allows, else by its weight) and
 * length with end play, mm.
 * @example tubeNeeded([{ width: mm(500), height: mm(700), weight: gsm(308) }], PACK_RULES) // { roll: 500, diameter: 75, length: 540 }
 */
export function tubeNeeded(prints: Contents['prints'], rules: PackRules) {
  const roll = mm(Math.max(0, ...prints.map((p) => sides(p)[0])));
  return {
    roll,
    diameter: mm(
      Math.max(0, ...prints.map((p) => p.leastRoll ?? tubeDiameter(p.weight, rules))),
    ),
    length: sum(roll, mm(rules.tubeEndPlay)),
  };
}

function choose(
  { prints, goods }: Contents,
  materials: readonly PackingMaterial[],
  rules: PackRules,
): { packing: RolledPacking } | { lacking: Lacking[] } {
  const lacking: Lacking[] = [];
  if (prints.length === 0) lacking.push('nothingToRoll');
  if (goods.length > 0) lacking.push('goodsDoNotRoll');
  if (prints.reduce((n, p) => n + p.copies, 0) > rules.rolledPrints)
    lacking.push('tooMany');
  const { roll, diameter, length } = tubeNeeded(prints, rules);
  const tube = materials
    .filter((m): m is Tube => m.kind === 'tube' && m.stock > 0)
    .filter((t) => t.diameter >= diameter && t.length >= length)
    .sort((a, b) => a.length - b.length || a.diameter - b.diameter)[0];
  if (!tube) lacking.push('tube');
  if (lacking.length > 0 || !tube) return { lacking };
  return { packing: { way: 'rolled', tube, spare: minus(tube.length, roll) } };
}

export const rolled: Way<RolledPacking> = {
  way: 'rolled',
  choose,
  wraps: ({ tube }, { prints }) => [
    ...prints.map(({ line, copies }) => ({
      key: `tissue:${line}`,
      part: 'tissue' as const,
      line,
      copies,
      name: null,
      // A sheet of tissue is lighter than the scales can tell.
      mass: grams(0),
      size: null,
    })),
    {
      key: `tube:${tube.id}`,
      part: 'tube',
      line: null,
      copies: 1,
      name: tube.name,
      mass: tube.mass,
      size: { width: tube.length, height: mm(tube.diameter + 2 * tube.wall) },
    },
  ],
  outside: ({ tube }) => {
    const across = mm(tube.diameter + 2 * tube.wall);
    return { width: tube.length, height: across, depth: across };
  },
  takes: ({ tube }) => [tube.id],
};
