import escapeHtml from 'escape-html';
import { keptCharacters } from './visibleText';

/**
 * Words as they may stand in XML (XMP, SVG), in elements and in attributes: signs of the
 * language escaped, characters that XML 1.0 has no place for left out.
 * @example xmlText('Sun & "Salt"\u0000') // 'Sun &amp; &quot;Salt&quot;'
 */
export const xmlText = (words: string): string => escapeHtml(keptCharacters(words));

const NAMED: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
};

/**
 * The words of a piece of XML that holds nothing but words: signs by their name or their number
 * as they are. What is no such sign stays.
 * @example wordsOfXml('Sun &amp; &#34;Salt&#34;') // 'Sun & "Salt"'
 */
export const wordsOfXml = (xml: string): string =>
  xml.replace(/&(#\d{1,7}|[a-z]{2,4});/g, (sign, name: string) => {
    if (!name.startsWith('#')) return NAMED[name] ?? sign;
    const point = Number(name.slice(1));
    return point <= 0x10ffff ? String.fromCodePoint(point) : sign;
  });
