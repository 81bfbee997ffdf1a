/** Makes the printer profiles of the demo anew: `npx tsx demo/profiles/make.ts`. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { slug } from '@/core/prepare';
import { CMYK_INKS, PAPER_INKS, PIGMENT_INKS } from './inks';
import { printerProfile } from './printerProfile';

for (const inks of [CMYK_INKS, PIGMENT_INKS, ...PAPER_INKS])
  writeFileSync(join(import.meta.dirname, `${slug(inks.name)}.icc`), printerProfile(inks));
