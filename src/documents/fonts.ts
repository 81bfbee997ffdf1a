import { pixelsOf } from '@/core/units';
import { join } from 'node:path';
import { Font } from '@react-pdf/renderer';

let registered = false;

const file = (family: string, subset: string, weight: number, style: string) =>
  join(
    /* turbopackIgnore: true */ process.env.GLASSINE_ROOT ?? process.cwd(),
    'node_modules/@fontsource',
    family,
    `files/${family}-${subset}-${weight}-${style}.woff`,
  );

/** Registers the house's two families, each with an extended-Latin companion for names. */
export function registerFonts(): void {
  if (registered) return;
  registered = true;
  for (const [suffix, subset] of [
    ['', 'latin'],
    ['Ext', 'latin-ext'],
  ] as const) {
    Font.register({
      family: `Serif${suffix}`,
      fonts: [
        { src: file('newsreader', subset, 400, 'normal') },
        { src: file('newsreader', subset, 400, 'italic'), fontStyle: 'italic' },
        { src: file('newsreader', subset, 500, 'normal'), fontWeight: 500 },
      ],
    });
    Font.register({
      family: `Sans${suffix}`,
      fonts: [
        { src: file('commissioner', subset, 400, 'normal') },
        { src: file('commissioner', subset, 600, 'normal'), fontWeight: 600 },
      ],
    });
  }
  Font.registerHyphenationCallback((word) => [word]);
}

export const SERIF = ['Serif', 'SerifExt'];
export const SANS = ['Sans', 'SansExt'];

/** Millimetres in PDF points. */
export const pt = (mm: number) => pixelsOf(mm, 72);
