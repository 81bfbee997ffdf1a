/** Figures with their digits, as a drawing or its description writes them. */
const FIGURE = /\d+(?:[.,]\d+)?/g;
const plain = (text: string) => text.replace(/[\u202f\u00a0]/g, ' ');

/** Figures that are drawn but not in the words that stand for the drawing. */
export function figuresUnsaid(drawn: string[], said: string): string[] {
  const known = new Set(plain(said).match(FIGURE) ?? []);
  return drawn.flatMap((t) => plain(t).match(FIGURE) ?? []).filter((f) => !known.has(f));
}
