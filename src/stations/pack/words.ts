import type { NoPacking, ScaleCheck } from '@/core/pack';
import type { Format } from '@/shell';
import type { ReckonedParcel } from './parcel';

const PARTS: Record<string, string> = {
  print: 'the print',
  sleeve: 'the sleeve',
  board: 'the backing board',
  mailer: 'the mailer',
  tube: 'the tube',
  certificate: 'the certificate in its folder',
  note: 'the note',
};

/** What the scales say against the computation. */
export function scaleWords(check: ScaleCheck, format: Format): string {
  const off = format.mass(Math.abs(check.difference));
  if (check.agrees)
    return `The scales agree: ${off} apart, ${format.mass(check.tolerance)} are allowed.`;
  const suspect = check.suspects[0];
  if (check.difference < 0)
    return `${off} too light.${suspect ? ` That is what ${PARTS[suspect]} weighs: is it in?` : ' Something is missing: look again before sealing.'}`;
  return `${off} too heavy. Something is in that does not belong: look again before sealing.`;
}

export const REFUSED = {
  tooLong: 'too long',
  tooHeavy: 'too heavy',
  tooThick: 'too thick',
} as const;

/** How the parcel is packed, and why so. */
export function packingWords(reckoned: ReckonedParcel, format: Format): [string, string] {
  const { packing } = reckoned;
  if (packing.way === 'flat')
    return [
      `Flat, ${packing.mailer.name}`,
      `fits with ${format.length(packing.spare)} to spare on the short side`,
    ];
  if (packing.way === 'rolled')
    return [
      `Rolled, ${packing.tube.name}`,
      packing.why === 'tooLargeFlat'
        ? `too large to travel flat; ${format.length(packing.spare)} end play`
        : `no flat mailer in stock takes it; ${format.length(packing.spare)} end play`,
    ];
  return ['Nothing in stock takes it', missingWords(packing, format)];
}

const missingWords = (p: NoPacking, format: Format): string =>
  `Order a tube of ${format.length(p.needed.tubeDiameter)} or more, ${format.length(p.needed.tubeLength)} long${
    p.missing.length > 1
      ? `; or flat: ${p.missing.filter((m) => m !== 'tube').join(', ')} for ${format.size(p.needed.flat)}`
      : ''
  }.`;
