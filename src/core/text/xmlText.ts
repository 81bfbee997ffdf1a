import escapeHtml from 'escape-html';
import { keptCharacters } from './visibleText';

/**
 * Words as they may stand in XML (XMP, SVG), in elements and in attributes: signs of the
 * language escaped, characters that XML 1.0 has no place for left out.
 * @example xmlText('Sun & "Salt"\u0000') // 'Sun &amp; &quot;Salt&quot;'
 */
export const xmlText = (words: string): string => escapeHtml(keptCharacters(words));
