import { LEAST_EDGE, MOST_EDGE, SIZING_RULES } from '@/core/sizing';
import type { SizeJudgement } from '@/core/sizing';
import { formatDistance, formatLength, formatNumber, mm, ppi } from '@/core/units';
import type { Format } from '@/shell';
import {
  OWN_SIZE_WORDS,
  adviceTone,
  adviceWord,
  judgementWords,
  verdictShort,
  worthWords,
} from './words';

const format = {
  number: (n: number, digits = 0) => formatNumber(n, digits, 'en-GB'),
  length: (n: number) => formatLength(mm(n), 'metric', 'en-GB'),
  distance: (n: number) => formatDistance(mm(n), 'metric', 'en-GB'),
} as Format;
const plain = (text: string) => text.replaceAll('\u202f', ' ');

const judged = (
  verdict: SizeJudgement['verdict'],
  enlarging: SizeJudgement['enlarging'],
  figures: Partial<SizeJudgement['figures']> = {},
): SizeJudgement => ({
  verdict,
  enlarging,
  advice: 'offer',
  figures: {
    ppi: ppi(140),
    across: ppi(140),
    down: ppi(140),
    worth: ppi(140),
    enlargement: 2.144,
    cropShare: 0,
    crispFrom: mm(1900),
    standing: mm(1500),
    signingRoom: mm(20),
    asked: ppi(300),
    ...figures,
  },
  because: 'none',
  labsRefuse: false,
  meetsAsked: true,
  roomToSign: true,
});
const said = (...of: Parameters<typeof judged>) =>
  plain(judgementWords(judged(...of), SIZING_RULES, format));

describe('the sentence of judgement', () => {
  it('is short where nothing is enlarged', () => {
    expect(said('inHand', 'native')).toBe('Crisp in the hand.');
    expect(said('whereStand', 'native')).toBe(
      'Crisp where people stand, and when they step up.',
    );
  });

  it('says how many times, and for which resolution, where a resampler holds it', () => {
    expect(said('softUpClose', 'resamplerHolds')).toBe(
      `Crisp where people stand, soft up close. Enlarged 2.14 times for ${SIZING_RULES.printPpi} ppi: a good resampler holds that.`,
    );
  });

  it('sends to a proof before the money is spent', () => {
    expect(said('whereStand', 'proofFirst')).toMatch(
      /Enlarged 2\.14 times: order a resolution proof before paying/,
    );
  });

  it('says from where it would pass where it goes too far, and advises', () => {
    expect(said('fallsShort', 'tooFar')).toBe(
      'Falls short: soft even where people stand. It would pass from 1.9 m only: leave it out.',
    );
    expect(said('softUpClose', 'tooFar')).toBe(
      'Advised against: enlarged 2.14 times. It would pass from 1.9 m.',
    );
  });
});

it.each([
  ['offer', 'fits', undefined],
  ['proof', 'proof first', 'caution'],
  ['withdraw', 'leave out', 'stop'],
] as const)('the advice %s is “%s”', (advice, word, tone) => {
  const judgement = { ...judged('inHand', 'native'), advice };
  expect(adviceWord(judgement)).toBe(word);
  expect(adviceTone(judgement)).toBe(tone);
});

it('says what the resolution is worth only where pixels are missing in it', () => {
  const of = (worth: number) =>
    worthWords(judged('inHand', 'native', { worth: ppi(worth) }), format);
  expect(of(140)).toBe('ppi on paper');
  expect(of(137)).toBe('ppi on paper');
  expect(of(94)).toBe('ppi on paper, worth 94');
});

it('has a short word for each verdict', () => {
  const short = (['inHand', 'whereStand', 'softUpClose', 'fallsShort'] as const).map((v) =>
    verdictShort(judged(v, 'native')),
  );
  expect(short).toEqual([
    'crisp in the hand',
    'crisp where people stand',
    'soft up close',
    'falling short',
  ]);
});

it.each(['small', 'large', 'strip'] as const)(
  'an own size that is too %s is named as it was typed, with what to do',
  (fault) => {
    const words = plain(OWN_SIZE_WORDS[fault]('9 × 9000', format.length));
    expect(words).toMatch(/^Own size: “9 × 9000” (has an edge|is longer than) .*\. [A-Z]/);
    const figure = {
      small: plain(format.length(LEAST_EDGE)),
      large: plain(format.length(MOST_EDGE)),
      strip: ': 1',
    }[fault];
    expect(words).toContain(figure);
  },
);
