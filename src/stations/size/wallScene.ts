import type { FitResult, SizeRules } from '@/core/size';

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

/** A standing person of height 1, feet at 0 0; and a sofa of width 1 and height 0.42, its foot at 0 0. SVG paths. */
export const PERSON =
  'M0 -1c.045 0 .066 .034 .062 .072c-.003 .033 -.02 .06 -.034 .07v.02c.06 .014 .095 .03 .103 .075l.036 .24c.003 .03 -.03 .036 -.037 .01l-.043 -.19l-.006 .21c.02 .15 .012 .3 .012 .42c0 .03 .03 .03 .03 .05h-.1c-.005 -.14 -.008 -.3 -.023 -.42c-.015 .12 -.018 .28 -.023 .42h-.1c0 -.02 .03 -.02 .03 -.05c0 -.12 -.008 -.27 .012 -.42l-.006 -.21l-.043 .19c-.007 .026 -.04 .02 -.037 -.01l.036 -.24c.008 -.045 .043 -.061 .103 -.075v-.02c-.014 -.01 -.031 -.037 -.034 -.07c-.004 -.038 .017 -.072 .062 -.072z';
export const SOFA =
  'M.03 0v-.05h-.02c-.005 0 -.01 -.005 -.01 -.01v-.2c0 -.03 .06 -.03 .065 0v.06h.01v-.2c0 -.01 .01 -.02 .02 -.02h.81c.01 0 .02 .01 .02 .02v.2h.01v-.06c.005 -.03 .065 -.03 .065 0v.2c0 .005 -.005 .01 -.01 .01h-.02v.05h-.02v-.05h-.9v.05z';
