/** Where a digit's ten begin: digits stand in tens of code points, whatever the script. */
function digit(one: string): string {
  const point = one.codePointAt(0)!;
  let zero = point;
  while (/\p{Nd}/u.test(String.fromCodePoint(zero - 1))) zero -= 1;
  return String((point - zero) % 10);
}

/**
 * A text with what keyboards, printers and scripts vary made one: digits of any script, wide
 * letters, minus signs, spaces, apostrophes; the marks that only turn the direction of writing
 * are left out. What the figures mean is not touched.
 * @example plainFigures('−１２ ３４５') // '-12 345'
 */
export const plainFigures = (text: string): string =>
  text
    .replace(/[\uff01-\uff5e]/g, (c) => String.fromCharCode(c.charCodeAt(0) - 0xfee0))
    .replace(/[\u00bc-\u00be\u2150-\u215e]/g, (c) => ` ${c.normalize('NFKC')}`)
    .replace(/[\u2044\u2215]/g, '/')
    .replace(/[\u200e\u200f\u061c\u2066-\u2069\u202a-\u202e]/g, '')
    .replace(/[\u2212\u2010-\u2014\ufe63]/g, '-')
    .replace(/[\u00a0\u2000-\u200a\u202f\u3000]/g, ' ')
    .replace(/[\u2018\u2019\u02bc\u00b4`]/g, "'")
    .replace(/\p{Nd}/gu, digit)
    .trim();
