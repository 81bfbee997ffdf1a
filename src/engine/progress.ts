/** Tells how far a piece of work has come: its stage, and 0..1 of the whole. */
export type Progress = (stage: string, share: number) => void;

/** The progress of one part of a larger piece of work, from `from` to `to` of the whole. */
export const partOf =
  (progress: Progress, from: number, to: number): Progress =>
  (stage, share) =>
    progress(stage, from + share * (to - from));

/** One progress out of several that run side by side: their mean. */
export function sideBySide(progress: Progress, parts: number): Progress[] {
  const shares = new Array<number>(parts).fill(0);
  return shares.map((_, i) => (stage, share) => {
    shares[i] = share;
    progress(stage, shares.reduce((a, b) => a + b, 0) / parts);
  });
}
