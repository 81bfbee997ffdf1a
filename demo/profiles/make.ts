/** Makes the two printer profiles of the demo anew: `npx tsx demo/profiles/make.ts`. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { CMYK_INKS, PIGMENT_INKS } from './inks';
import { printerProfile } from './printerProfile';

const folder = import.meta.dirname;
writeFileSync(join(folder, 'quayside-offset-matte.icc'), printerProfile(CMYK_INKS));
writeFileSync(join(folder, 'heron-press-cotton.icc'), printerProfile(PIGMENT_INKS));
