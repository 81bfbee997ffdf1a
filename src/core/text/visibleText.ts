/** Marks that nobody sees and nobody types: zero-width space, word joiner, byte order mark, soft hyphen. */
const UNSEEN = /[\u200b\u2060\ufeff\u00ad]/g;

/**
 * What no name or note is made of: control characters but for the end of a line, marks that
 * turn the direction of what follows, and codes that are no characters. Joiners stay, which
 * scripts and pictographs are written with.
 */
const FOREIGN =
  /(?![\n\u200c\u200d])(?:[\p{Cc}\p{Cs}\ufffe\uffff\ufdd0-\ufdef]|[\u061c\u200e\u200f\u202a-\u202e\u2066-\u206f\ufff9-\ufffb])/u;

/**
 * Words as they are kept: in composed form (NFC), ends of lines and blanks of one kind, without
 * marks that nobody sees, trimmed.
 * @example visibleText('Cafe\u0301\u200b ') // 'Caf\u00e9'
 */
export const visibleText = (typed: string): string =>
  typed
    .normalize('NFC')
    .replace(/\r\n?/g, '\n')
    .replace(/\t/g, ' ')
    .replace(UNSEEN, '')
    .trim();

/**
 * The first character of words that is not to be kept, as its code; null when there is none.
 * @example foreignCharacter('a\u202eb') // 'U+202E'
 */
export function foreignCharacter(words: string): string | null {
  const [found] = FOREIGN.exec(words) ?? [];
  return found === undefined
    ? null
    : `U+${found.codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')}`;
}

/** Whether there is anything to be seen in words: joiners by themselves are nothing. */
export const isBlank = (words: string): boolean =>
  words.replace(/[\u200c\u200d]/g, '').trim() === '';

/**
 * Words from outside that cannot be asked for again, such as the name of a file: what is not to
 * be kept is left out.
 * @example keptCharacters('a\u202eb\u0000') // 'ab'
 */
export const keptCharacters = (given: string): string =>
  visibleText(given).replace(new RegExp(FOREIGN, 'gu'), '').replace(/\n/g, ' ');
