import type { FitResult, SheetCaution, SignPlace } from '@/core/size';
import type { Format } from '@/shell/figures';

/** What is pencilled where below the image. */
export const SIGN_PLACES: Record<SignPlace, string> = {
  number: 'n/N',
  title: 'title',
  signature: 'signature',
};

/** A caution about a sheet, and what to do. */
export function sheetCautionWords(c: SheetCaution, format: Format): string {
  switch (c.code) {
    case 'unprintable':
      return `The picture comes within ${format.length(c.nearest)} of the paper's edge; the printer leaves ${format.length(c.margin)} blank. Widen the border, print on larger paper and trim, or use a printer that prints to the edge.`;
    case 'noBleed':
      return 'The picture runs to the edge without bleed: a cut that is off by a hair shows white. Add some; 3 mm is usual.';
    case 'noRoomToSign':
      return `Nothing is left to sign on: ${format.length(c.below)} below the image, ${format.length(c.wanted)} wanted.`;
  }
}

/** All that the drawing shows, in words. */
export function sheetWords(label: string, fit: FitResult, format: Format): string {
  const sides = `${format.length(fit.above)} above, ${format.length(fit.right)} right, ${format.length(fit.below)} below, ${format.length(fit.left)} left`;
  const paper =
    fit.beyond > 0
      ? `; on paper of ${format.length(fit.paper.width)} by ${format.length(fit.paper.height)}, of which ${format.length(fit.beyond)} on every side is trimmed or torn away`
      : '';
  return `${label} to scale: image ${format.length(fit.image.width)} by ${format.length(fit.image.height)}, white ${sides}, sheet ${format.length(fit.sheet.width)} by ${format.length(fit.sheet.height)}${paper}.`;
}
