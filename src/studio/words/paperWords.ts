/** How long a paper lasts, in one line with its source and display; null where it is not known. */
export const permanenceLine = (paper: {
  permanenceYears: number | null;
  permanenceSource: string;
  permanenceDisplay: string;
}): string | null =>
  paper.permanenceYears === null
    ? null
    : `${paper.permanenceYears} years ${paper.permanenceDisplay}, ${paper.permanenceSource}`;
