import type { SignPlan } from '@/core/size';

/** What the sign plan comes to, in a few words. */
export const SIGN_WORDS: Record<SignPlan, string> = {
  byHand: '✓',
  inPictureAlone: '▲ signed in the picture alone',
  nowhere: '▲ nowhere on the front',
  notSaid: '▲ too little',
};

/** What is to be known before a size without room to sign is printed; `below` as a length. */
export function signCaution(plan: SignPlan, below: string): string | null {
  const only = `Only ${below} white below the image`;
  switch (plan) {
    case 'byHand':
      return null;
    case 'inPictureAlone':
      return `${only}: the picture is signed, but the number has to go on the back or the certificate.`;
    case 'nowhere':
      return `${only} and no signature in the picture: there is nowhere to number and sign on the front.`;
    case 'notSaid':
      return `${only}: there is nowhere to number and sign on the front. Say in Capture whether the picture is signed.`;
  }
}
