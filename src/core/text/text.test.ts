import fc from 'fast-check';
import {
  foreignCharacter,
  isBlank,
  keptCharacters,
  visibleText,
  wordsOfXml,
  xmlText,
} from '.';

it.each([
  ['  Salt\u00a0Pans ', 'Salt\u00a0Pans'],
  ['Cafe\u0301', 'Caf\u00e9'],
  ['a\u200bb\ufeffc\u00add\u2060e', 'abcde'],
  ['one\r\ntwo\rthree\tfour', 'one\ntwo\nthree four'],
])('%j is kept as %j', (typed, kept) => expect(visibleText(typed)).toBe(kept));

it.each([
  ['a\u0000b', 'U+0000'],
  ['a\u001b[31m', 'U+001B'],
  ['a\u0085b', 'U+0085'],
  ['print\u202egpj.exe', 'U+202E'],
  ['a\u200fb', 'U+200F'],
  ['a\u2066b', 'U+2066'],
  ['a\ud800b', 'U+D800'],
  ['a\uffffb', 'U+FFFF'],
])('%j is not kept', (typed, code) => expect(foreignCharacter(typed)).toBe(code));

it.each([
  'Öl auf Leinwand',
  'می‌خواهم',
  'क्‍ष',
  '👩‍🎨 at work',
  'שלום and words',
  'one\ntwo',
  'a\u202fb',
])('%j is kept as it is', (typed) => {
  expect(foreignCharacter(typed)).toBeNull();
  expect(keptCharacters(typed)).toBe(typed.replace('\n', ' '));
});

it('joiners by themselves are nothing', () => {
  expect([isBlank('\u200d \u200c'), isBlank(''), isBlank('x')]).toEqual([
    true,
    true,
    false,
  ]);
});

it('what is left of anything may stand in XML, and is kept whole when it is kept again', () =>
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), fc.string({ unit: 'grapheme' }), (a, b) => {
      for (const given of [a, b]) {
        const kept = keptCharacters(given);
        expect(foreignCharacter(kept)).toBeNull();
        expect(keptCharacters(kept)).toBe(kept);
        expect(() => encodeURIComponent(kept)).not.toThrow();
        expect(wordsOfXml(xmlText(given))).toBe(kept);
        // Production Char of XML 1.0, and no sign of its language.
        expect(xmlText(given)).toMatch(
          /^(?:&(?:amp|lt|gt|quot|#39);|[\t\n\r\u0020-\u0025\u0028-\u003b=?-\ud7ff\ue000-\ufffd]|[\u{10000}-\u{10ffff}])*$/u,
        );
      }
    }),
  ));

it('reads the signs of files of before, too, and leaves alone what is none', () => {
  expect(wordsOfXml('Ebb &#38; &#34;Flow&#34; &#60;fj\u00e6re&#62;')).toBe(
    'Ebb & "Flow" <fj\u00e6re>',
  );
  expect(wordsOfXml('&tide; & &#9999999; &#x26;')).toBe('&tide; & &#9999999; &#x26;');
});
