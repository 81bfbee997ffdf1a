import { planMat } from '@/core/finish';
import type { MatPlan } from '@/core/finish';
import type { FitResult } from '@/core/size';
import { mm } from '@/core/units';
import { MAT_ABOVE } from './SheetDrawing';
import type { Presented } from './SheetDrawing';

/** The mat drawn here shows this much white; another one is planned at Finish. */
const REVEAL = mm(10);
const OFF = mm(1);

export const matOf = (fit: FitResult): MatPlan =>
  planMat({
    image: fit.image,
    margins: {
      sides: mm(Math.min(fit.left, fit.right)),
      above: fit.above,
      below: fit.below,
    },
    style: fit.below > REVEAL + 3 * OFF ? 'reveal' : 'overlap',
    perSide: fit.below > REVEAL + 3 * OFF ? REVEAL : mm(5),
    tolerances: [OFF, OFF, OFF],
    borders: { sides: mm(MAT_ABOVE), above: mm(MAT_ABOVE), below: mm(MAT_ABOVE + 15) },
    mouldingWidth: mm(20),
    sawLoss: mm(0),
    glazing: { thickness: mm(2), material: 'glass' },
  });

/** What the way of presenting it does to the print. */
export function presentedWords(
  presented: Presented,
  mat: MatPlan | null,
  length: (n: number) => string,
) {
  if (presented === 'float')
    return 'Floating: all of the sheet is seen, its edges as well. Signed below the image it shows.';
  if (presented === 'mat' && mat)
    return mat.catches
      ? `Under a mat that ${mat.signatureShows ? `shows ${length(REVEAL)} of white: number and signature show` : 'covers the edge of the picture: what is signed in the border is hidden'}. It holds the sheet by ${length(mat.heldBy)} at its narrowest; ${length(mat.worstCase)} may be off.`
      : `The mat holds the sheet by ${length(mat.heldBy)} only, and ${length(mat.worstCase)} may be off: it can fall through. Widen the border.`;
  return null;
}
