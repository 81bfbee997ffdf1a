import type { NotFound, WhiteFrom } from '@/core/proof';

/** Why a photograph of a print cannot be compared. */
export type PhotographFault = NotFound | { code: 'little' | 'beside' };

const TURNED: Record<1 | 2 | 3, string> = {
  1: 'lies on its side, a quarter turn clockwise. Turn the photograph a quarter turn back',
  2: 'is upside down. Turn the photograph by half a turn',
  3: 'lies on its side, a quarter turn anticlockwise. Turn the photograph a quarter turn clockwise',
};

/** What is wrong with a photograph of a proof, and what to do; `of`: the picture it should show. */
export function photographFaultWords(
  name: string,
  of: string,
  fault: PhotographFault,
): string {
  switch (fault.code) {
    case 'turned':
      return `${name}: ${of} ${TURNED[fault.quarters]} and bring it again.`;
    case 'mirrored':
      return `${name} shows ${of} as in a mirror. Turn the photograph over, left to right, and bring it again.`;
    case 'plain':
      return `${name}: there is too little in the picture to know ${of} again by. Place its four corners by hand.`;
    case 'small':
      return `${name}: ${of} is only ${Math.round(fault.side)} pixels long in it. Go nearer: 1000 or more are needed to compare well, 150 to compare at all.`;
    case 'other':
      return `${name}: this is not ${of}, or too little of it shows. Bring a photograph of this proof, or place its four corners by hand.`;
    case 'beside':
      return `${name}: a corner or the grey card lies beside the photograph. Places are pixels from its top left.`;
    case 'little':
      return `${name}: too little of the print lies within the photograph to compare. Photograph all of it, with its white border.`;
  }
}

const BASIS: Record<WhiteFrom, string> = {
  border:
    'Beside the white border of the print, by the camera’s own colours: a camera without a chart does not know colour, so read the strip for what must be certain.',
  card: 'Beside the grey card, by the camera’s own colours: a camera without a chart does not know colour, so read the strip for what must be certain.',
  original:
    'Beside the original in the same photograph: what the camera and the light did, they did to both.',
  none: 'No white was found (nor is a grey card where one was pointed out): only how parts differ from each other is told, not whether all of it is lighter, darker or tinted.',
};

/** What differences in a photograph are measured against. */
export const basisWords = (white: WhiteFrom): string => BASIS[white];
