import {
  defineVersioned,
  isFigure,
  isFlag,
  isText,
  numbersIn,
  orNull,
  shape,
} from '../facts';
import { lengthTypedBefore } from '../input/typedBefore';
import type { FitResult } from '../size';
import { mm } from '../units';
import type { Millimetres, UnitMode } from '../units';
import { FINISH_PRICES } from './finishCost';
import type { FinishPrices } from './finishCost';
import { planMat } from './mat';
import type { MatInput, MatPlan } from './mat';

/** A mat and its frame as they were chosen; all lengths in mm. */
export interface FinishValues {
  style: 'overlap' | 'reveal';
  perSide: Millimetres;
  offPrint: Millimetres;
  offMat: Millimetres;
  offFrame: Millimetres;
  sides: Millimetres;
  above: Millimetres;
  below: Millimetres;
  moulding: Millimetres;
  glass: Millimetres;
  glazing: 'glass' | 'acrylic';
  /** How thick mat board, spacer and backing are; null: nobody said. */
  board: Millimetres | null;
  spacer: Millimetres | null;
  backing: Millimetres | null;
  /** What it is made of costs; null: nobody said. */
  prices: FinishPrices | null;
}

export const FINISH_LENGTHS = [
  'perSide',
  'offPrint',
  'offMat',
  'offFrame',
  'sides',
  'above',
  'below',
  'moulding',
  'glass',
] as const;

/** What a mat starts with. Rules of thumb. */
export const USUAL_FINISH: FinishValues = {
  style: 'overlap',
  perSide: mm(4),
  offPrint: mm(1),
  offMat: mm(1),
  offFrame: mm(1),
  sides: mm(60),
  above: mm(60),
  below: mm(75),
  moulding: mm(20),
  glass: mm(2),
  glazing: 'glass',
  board: mm(1.5),
  spacer: mm(0),
  backing: mm(3),
  prices: null,
};

/** Text as it was typed, with the units that held then, as values. */
function fromTyped({
  typedIn,
  ...typed
}: Record<string, unknown>): Record<string, unknown> {
  const units: UnitMode = typedIn === 'inch' ? 'inch' : 'metric';
  const length = (name: (typeof FINISH_LENGTHS)[number]) => {
    const given = typed[name];
    return (
      (typeof given === 'string' ? lengthTypedBefore(given, units) : null) ??
      USUAL_FINISH[name]
    );
  };
  return {
    style: typed.style === 'reveal' ? 'reveal' : 'overlap',
    glazing: typed.glazing === 'acrylic' ? 'acrylic' : 'glass',
    ...Object.fromEntries(FINISH_LENGTHS.map((n) => [n, length(n)])),
  };
}

/** A kept mat and frame, as it is stored. */
export const FINISH_VALUES = defineVersioned<FinishValues>({
  name: 'mat and frame',
  // Version 0: text as it was typed.
  upgrades: [
    fromTyped,
    // Version 1: of before the stack was reckoned.
    (old) => ({ ...old, board: null, spacer: null, backing: null }),
    // Version 2: of before it was said what it costs.
    (old) => ({ ...old, prices: null }),
  ],
  holds: (v) =>
    (v.style === 'overlap' || v.style === 'reveal') &&
    (v.glazing === 'glass' || v.glazing === 'acrylic') &&
    numbersIn(v, ...FINISH_LENGTHS) &&
    [v.board, v.spacer, v.backing].every(orNull(isFigure)) &&
    (v.prices === null ||
      (numbersIn(v.prices, 'hours', ...FINISH_PRICES) &&
        shape({ currency: isText, every: isFlag })(v.prices))),
});

/** Lost at each mitre by a saw, mm; a chopper loses less. Rule of thumb. */
export const SAW_LOSS = mm(3);

/** The mat and frame for a print laid out on its sheet; null when the overlap leaves no opening. */
export function planFinish(
  fit: FitResult,
  v: Omit<FinishValues, 'prices'>,
): { input: MatInput; plan: MatPlan } | null {
  const input: MatInput = {
    image: fit.image,
    margins: {
      sides: mm(Math.min(fit.left, fit.right)),
      above: fit.above,
      below: fit.below,
    },
    style: v.style,
    perSide: v.perSide,
    tolerances: [v.offPrint, v.offMat, v.offFrame],
    borders: { sides: v.sides, above: v.above, below: v.below },
    mouldingWidth: v.moulding,
    sawLoss: SAW_LOSS,
    glazing: { thickness: v.glass, material: v.glazing },
  };
  if (v.style === 'overlap' && 2 * v.perSide >= Math.min(fit.image.width, fit.image.height))
    return null;
  return { input, plan: planMat(input) };
}
