/** Words as they may stand in markup (XMP, the text drawer's). */
export const escaped = (words: string): string =>
  words.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
