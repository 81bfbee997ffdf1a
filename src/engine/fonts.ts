import { join } from 'node:path';

const folder = join(process.cwd(), 'node_modules/@fontsource/commissioner/files');

/** The house's own font, for words that are drawn into pictures. */
export const FONTS = {
  sans: join(folder, 'commissioner-latin-500-normal.woff'),
};
