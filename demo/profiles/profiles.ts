import { readFileSync } from 'node:fs';
import { slug } from '@/core/prepare';
import { CMYK_INKS, PAPER_INKS, PIGMENT_INKS } from './inks';

const made = ({ name }: { name: string }) => ({
  icc: new Uint8Array(readFileSync(`demo/profiles/${slug(name)}.icc`)),
  name,
});

/** CMYK of an offset press on matte paper. */
export const OFFSET = made(CMYK_INKS);
/** RGB of a pigment printer on cotton. */
export const COTTON = made(PIGMENT_INKS);

/** The profile of each paper of the demo on the own printer, by the paper's name. */
export const paperProfile = (name: string): typeof COTTON => {
  const inks = PAPER_INKS.find((i) => i.name === name);
  if (!inks) throw new Error(`the demo has no paper ${name}`);
  return made(inks);
};
export const PAPER_NAMES = PAPER_INKS.map((i) => i.name);
