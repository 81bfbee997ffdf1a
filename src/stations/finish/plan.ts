import { planMat } from '@/core/finish';
import type { MatInput, MatPlan } from '@/core/finish';
import type { FitResult } from '@/core/size';
import { mm } from '@/core/units';
import type { Millimetres } from '@/core/units';

/** What is typed for a mat and its frame, as values. */
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
}

/** Lost per mitre by a saw; a chopper loses less. Rule of thumb. */
const SAW_LOSS = mm(3);

/** The mat and frame for a print laid out on its sheet; null when the overlap leaves no opening. */
export function planFinish(
  fit: FitResult,
  v: FinishValues,
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
