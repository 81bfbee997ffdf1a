import { cutNumbers } from '@/core/cut';
import type { CutSheetPlan } from '@/core/cut';
import { xmlText } from '@/core/text';

/** Figures and letters, mm. */
const LETTER = 5;
const MARK = 4.5;
const round = (mm: number) => Number(mm.toFixed(3));

/** What a piece is called on the drawing; of several of a kind with its number. */
export type PieceName = (piece: string, copy: number) => string;

/**
 * One sheet at 1 : 1 as SVG (millimetres): its pieces with their names, the cuts numbered in the
 * order in which they are made, what is left over hatched, kept left-overs with their size.
 */
export function cutSvg(sheet: CutSheetPlan, title: string, nameOf: PieceName): string {
  const { width, length } = sheet;
  const text = (x: number, y: number, words: string, size = LETTER) =>
    `<text x="${round(x)}" y="${round(y)}" font-size="${round(size)}" text-anchor="middle">${xmlText(words)}</text>`;
  const rests = sheet.rests.map((r) => {
    const box = `<rect x="${round(r.x)}" y="${round(r.y)}" width="${round(r.width)}" height="${round(r.height)}" fill="url(#rest)" stroke="none"/>`;
    const said = `${round(r.width)} × ${round(r.height)} mm`;
    return r.kept ? box + text(r.x + r.width / 2, r.y + r.height / 2, said) : box;
  });
  const pieces = sheet.places.map((p) => {
    const name = nameOf(p.piece, p.copy);
    const size = Math.min(LETTER, (1.6 * p.width) / Math.max(1, name.length));
    return (
      `<rect x="${p.x}" y="${p.y}" width="${p.width}" height="${p.height}" fill="#ffffff" stroke="#161616" stroke-width="0.3"/>` +
      text(p.x + p.width / 2, p.y + p.height / 2, name, size)
    );
  });
  const numbers = cutNumbers(sheet, MARK, true);
  const cuts = sheet.cuts.map(({ x1, y1, x2, y2 }, i) => {
    const { x, y } = numbers[i]!;
    return (
      `<line x1="${round(x1)}" y1="${round(y1)}" x2="${round(x2)}" y2="${round(y2)}" stroke="#161616" stroke-width="0.25" stroke-dasharray="6 2"/>` +
      `<circle cx="${round(x)}" cy="${round(y)}" r="${MARK / 1.3}" fill="#161616"/>` +
      `<text x="${round(x)}" y="${round(y + 1.3)}" font-size="3.6" text-anchor="middle" fill="#ffffff">${i + 1}</text>`
    );
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${round(width)}mm" height="${round(length)}mm" viewBox="0 0 ${round(width)} ${round(length)}" font-family="sans-serif" fill="#161616">`,
    `<title>${xmlText(title)}</title>`,
    '<defs><pattern id="rest" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="4" height="4" fill="#f4f4f4"/><line x1="0" y1="0" x2="0" y2="4" stroke="#9a9a9a" stroke-width="0.4"/></pattern></defs>',
    `<rect width="${round(width)}" height="${round(length)}" fill="#ffffff" stroke="#161616" stroke-width="0.5"/>`,
    ...rests,
    ...pieces,
    ...cuts,
    '</svg>',
    '',
  ].join('\n');
}
