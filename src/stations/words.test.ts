import type { MasterCaution } from '@/core/capture';
import { SIZE_RULES, fitToSheet, plainLayout, judgeSize } from '@/core/size';
import { mm, size } from '@/core/units';
import { formatOf } from '@/shell/figures/format';
import { cautionWords } from './capture/words';
import { adviceTone, adviceWord, judgementWords } from './size/words';

const format = formatOf({
  units: 'metric',
  locale: 'en-GB',
  currency: 'EUR',
  timeZone: 'UTC',
});
const plain = (text: string) => text.replaceAll('\u202f', ' ');

/** The judgement of a 50 x 70 cm print of a master of so many pixels across. */
const judged = (across: number, rules = SIZE_RULES) => {
  const master = { width: across, height: Math.round(across * 1.4) };
  return judgeSize(
    master,
    fitToSheet(size(500, 700), 1 / 1.4, plainLayout('within', mm(0))),
    rules,
  );
};
const say = (across: number, rules = SIZE_RULES) =>
  plain(judgementWords(judged(across, rules), rules, format));

describe('a size is judged in one sentence, with its figure and its reason', () => {
  it.each([
    [7000, 'Crisp in the hand.', 'fits', undefined],
    [
      5000,
      'Crisp where people stand, and when they step up. Enlarged 1.18 times for 300 ppi: a good resampler holds that.',
      'fits',
      undefined,
    ],
    [
      3500,
      'Crisp where people stand, and when they step up. Enlarged 1.69 times: order a resolution proof before paying for the big one.',
      'proof first',
      'caution',
    ],
    [
      2000,
      'Advised against: enlarged 2.95 times. It would pass from 86 cm.',
      'leave out',
      'stop',
    ],
    [
      900,
      'Falls short: soft even where people stand. It would pass from 1.9 m only: leave it out.',
      'leave out',
      'stop',
    ],
  ] as const)('%d px across', (across, sentence, word, tone) => {
    expect(say(across)).toBe(sentence);
    expect(adviceWord(judged(across))).toBe(word);
    expect(adviceTone(judged(across))).toBe(tone);
  });

  it('by the rules in force, not by fixed ones', () => {
    const rules = { ...SIZE_RULES, printPpi: 200, proofFirst: 4 };
    expect(say(5000, rules)).toBe('Crisp where people stand, and when they step up.');
    expect(say(2000, rules)).toContain('order a resolution proof');
    // Who looks from nearer sees more.
    const near = { ...SIZE_RULES, standingFactor: 1, proofFirst: 9 };
    expect(say(2100, near)).toContain('soft up close');
    expect(say(2100, { ...near, standingFactor: 2 })).toContain('when they step up');
  });
});

it.each([
  [{ code: 'untagged' }, 'No colour profile', /which space it was saved in/],
  [{ code: 'eightBits' }, '8 bits per channel', /Scan at 16 bits/],
  [{ code: 'ppiAbsent', sampled: 600 }, 'No ppi tag', /it is 600 ppi/],
  [{ code: 'ppiWrong', tag: 72, sampled: 600.4 }, 'Tagged 72 ppi', /Only a tag.*600 ppi/],
  [
    { code: 'proportion', percent: -2.34 },
    'Not the original’s proportion',
    /off by 2\.3 %/,
  ],
  [{ code: 'small', longestMm: 254 }, 'Smaller than the original', /reaches 254 mm/],
] as [MasterCaution, string, RegExp][])(
  'the caution %j says what it means',
  (caution, head, meaning) => {
    const words = cautionWords(caution, format, 3);
    expect(plain(words.head)).toBe(head);
    expect(plain(words.meaning)).toMatch(meaning);
  },
);
