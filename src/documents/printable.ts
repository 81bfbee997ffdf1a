/** The families have no glyphs for the thin space and the delta of the screen; a no-break space and a d stand in. */
export const printable = (text: string) =>
  text.replace(/\u202f/g, '\u00a0').replace(/Δ/g, 'd');
