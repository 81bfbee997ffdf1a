/** The families have no glyph for the thin space of the screen; a no-break space stands in. */
export const printable = (text: string) => text.replace(/\u202f/g, '\u00a0');
