import { keptCharacters } from './visibleText';

/**
 * Words as they may stand in XML (XMP, SVG), in elements and in attributes: signs of the
 * language by their number, characters that XML 1.0 has no place for left out.
 * @example xmlText('Sun & "Salt"\u0000') // 'Sun &#38; &#34;Salt&#34;'
 */
export const xmlText = (words: string): string =>
  keptCharacters(words).replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
