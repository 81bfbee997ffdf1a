/** Where the artist's signature is, as was said of the master; null: it was not said yet. */
export type SignatureFact = 'inPicture' | 'absent' | 'removed' | null;

/**
 * Where a print of a size can be signed: by hand in its border; in the picture alone, and
 * numbered elsewhere; nowhere, which is found out before it is printed and mounted; or it is
 * not known, since there is no room and nobody said whether the picture is signed.
 */
export type SignPlan = 'byHand' | 'inPictureAlone' | 'nowhere' | 'notSaid';

/** The sign plan of a size, from the room below its image and the master's signature. */
export function signPlan(roomToSign: boolean, signature: SignatureFact): SignPlan {
  if (roomToSign) return 'byHand';
  if (signature === null) return 'notSaid';
  return signature === 'inPicture' ? 'inPictureAlone' : 'nowhere';
}
