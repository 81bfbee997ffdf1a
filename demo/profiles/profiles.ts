import { readFileSync } from 'node:fs';
import { CMYK_INKS, PIGMENT_INKS } from './inks';

const made = (name: string) => new Uint8Array(readFileSync(`demo/profiles/${name}.icc`));

/** CMYK of an offset press on matte paper. */
export const OFFSET = { icc: made('quayside-offset-matte'), name: CMYK_INKS.name };
/** RGB of a pigment printer on cotton. */
export const COTTON = { icc: made('heron-press-cotton'), name: PIGMENT_INKS.name };
