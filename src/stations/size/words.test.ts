import {
  LEAST_EDGE,
  MOST_EDGE,
  SIZE_RULES,
  fitToSheet,
  judgeSize,
  plainLayout,
} from '@/core/size';
import { mm, size } from '@/core/units';
import { formatOf } from '@/shell/figures/format';
import { OWN_SIZE_WORDS, verdictShort, worthWords } from './words';

const format = formatOf({
  units: 'metric',
  locale: 'en-GB',
  currency: 'EUR',
  timeZone: 'UTC',
});
const plain = (text: string) => text.replaceAll('\u202f', ' ');

/** The judgement of a 50 x 70 cm print of a master of so many pixels across. */
const judged = (across: number) =>
  judgeSize(
    { width: across, height: Math.round(across * 1.4) },
    fitToSheet(size(500, 700), 1 / 1.4, plainLayout('within', mm(0))),
    SIZE_RULES,
  );

it('says what the resolution is worth only where pixels are missing in it', () => {
  const whole = judged(5000);
  const of = (share: number) => {
    const worth = (whole.figures.ppi * share) as typeof whole.figures.worth;
    return worthWords({ ...whole, figures: { ...whole.figures, worth } }, format);
  };
  expect(worthWords(whole, format)).toBe('ppi on paper');
  expect(of(0.98)).toBe('ppi on paper');
  // 254 ppi, of which two thirds are detail.
  expect(of(2 / 3)).toBe('ppi on paper, worth 169');
});

it('has a short word for each verdict', () => {
  const short = (['inHand', 'whereStand', 'softUpClose', 'fallsShort'] as const).map(
    (verdict) => verdictShort({ ...judged(5000), verdict }),
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
