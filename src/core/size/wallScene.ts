import type { FitResult } from './fit';
import type { SizeRules } from './rules';

/** A print on the wall, mm: x to the right, y down from the middle of the prints. */
export interface Hung {
  key: string;
  label: string;
  fit: FitResult;
  /** Left and top of its sheet. */
  x: number;
  y: number;
}

export interface Scene {
  hung: Hung[];
  /** y of the floor. */
  floor: number;
  person: { x: number; height: number };
  sofa: { x: number; width: number; height: number };
  /** All of it. */
  bounds: { left: number; right: number; top: number; bottom: number };
}

/** Centre of a picture over the floor, mm (rule of thumb: 145 to 155 cm). */
const CENTRE_MM = 1500;
const GAP_MM = 120;
const SOFA_HEIGHT = 0.42;
/** Over the back of the sofa, a print hangs at least this high, mm. */
const CLEAR_MM = 150;

/** Prints in a row on a wall, with a sofa under them and a person beside it, all in mm. */
export function hangScene(
  prints: { key: string; label: string; fit: FitResult }[],
  rules: Pick<SizeRules, 'personMm' | 'sofaMm'>,
): Scene {
  const across =
    prints.reduce((total, p) => total + p.fit.sheet.width, 0) +
    GAP_MM * Math.max(0, prints.length - 1);
  const tallest = Math.max(0, ...prints.map((p) => p.fit.sheet.height));
  const sofa = { width: rules.sofaMm, height: rules.sofaMm * SOFA_HEIGHT };
  // Large prints hang higher, so that none goes behind the sofa.
  const centre = Math.max(CENTRE_MM, sofa.height + CLEAR_MM + tallest / 2);
  let x = -across / 2;
  const hung = prints.map((p) => {
    const at = { ...p, x, y: p.fit.sheet.height / -2 };
    x += p.fit.sheet.width + GAP_MM;
    return at;
  });
  const half = Math.max(across, sofa.width) / 2;
  const person = { x: -half - rules.personMm * 0.28, height: rules.personMm };
  return {
    hung,
    floor: centre,
    person,
    sofa: { ...sofa, x: -sofa.width / 2 },
    bounds: {
      left: person.x - rules.personMm * 0.2,
      right: half + 200,
      top: Math.min(-tallest / 2, centre - rules.personMm) - 120,
      bottom: centre + 80,
    },
  };
}
