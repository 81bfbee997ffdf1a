import { CURVE_AT, HUES, TONES } from '@/core/colour';
import { RECIPE_RULE, ruleOf } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { OUT_OF_REACH } from '@/core/proof';
import type { ChangedColour, MeanShift, NumberMoved, ProposedChange } from '@/core/proof';
import type { Format } from '@/shell/figures';
import { meansWords } from '@/studio/words/proofWords';
import { shiftWords } from '@/studio/words/stripWords';

/** How figures are written where it is said. */
type Numbers = Pick<Format, 'number'>;

/** A number of a recipe with its sign, and no more decimals than it has. */
function signed(v: number, { number }: Numbers): string {
  const digits = [0, 1].find((d) => Number(v.toFixed(d)) === v) ?? 2;
  return `${v > 0 ? '+' : '−'}${number(Math.abs(v), digits)}`;
}
const WAYS = ['L*', 'a*', 'b*'] as const;

/** A number of a recipe that is moved, as one reads it: `lightness +4`, `reds b* −2`. */
export function movedWords({ part, at, was, now }: NumberMoved, numbers: Numbers): string {
  const by = signed(Math.round((now - was) * 100) / 100, numbers);
  if (part === 'curve') return `tone curve at L* ${CURVE_AT[at]} ${by}`;
  const range =
    part === 'tones'
      ? TONES[Math.floor(at / 3)]
      : part === 'hues'
        ? HUES[Math.floor(at / 3)]
        : null;
  return range ? `${range} ${WAYS[at % 3]} ${by}` : `${part} ${by}`;
}

/** Numbers that are named; of more the largest. */
const NAMED = 8;
const USUAL = { adjust: 20, balance: 4 };

/** What is moved, the largest first. */
export function movesWords(moved: readonly NumberMoved[], numbers: Numbers): string {
  const size = (m: NumberMoved) => Math.abs(m.now - m.was) / USUAL[m.step];
  const sorted = [...moved].sort((a, b) => size(b) - size(a));
  const more = sorted.length - NAMED;
  const said = sorted
    .slice(0, NAMED)
    .map((m) => movedWords(m, numbers))
    .join(', ');
  return more > 0 ? `${said}, and ${more} smaller` : said;
}

/** A change in words, with what it is expected to leave. */
export const changeWords = (
  { moved, before, left }: ProposedChange,
  numbers: Numbers,
): string =>
  moved.length === 0
    ? 'Nothing to change.'
    : `Expected to leave ΔE00 ${numbers.number(left, 1)} of ${numbers.number(before, 1)} of what this paper holds: ${movesWords(moved, numbers)}.`;

/** What is said where the next recipe is of another rule than the round's; empty where it is not. */
export const ruleMovedWords = (recipe: Pick<Recipe, 'rule'>): string =>
  ruleOf(recipe) === RECIPE_RULE
    ? ''
    : 'This round was made by a recipe of the rule of before; the next one is of the rule of now, so that what it keeps may come out a little differently. Look at it on the paper before it is printed.';

/** A figure of one decimal with its sign; none before nought. */
export const signedFigure = (v: number, { number }: Numbers): string =>
  `${v < -0.049 ? '−' : v > 0.049 ? '+' : ''}${number(Math.abs(v), 1)}`;

/** How a print came, in words, and what that means to the eye. */
export const cameWords = (shift: MeanShift, { number }: Numbers): string =>
  `${shiftWords(shift, number) || 'as the master'}; ${meansWords(shift.difference)}`;

/** Colours that this paper cannot hold, in words; empty where it holds them all. */
export function outOfReachWords(
  colours: readonly ChangedColour[],
  { number }: Numbers,
): string {
  const out = colours.filter(
    (c) =>
      c.outOfReach > OUT_OF_REACH &&
      c.name !== 'black' &&
      // Deep neutrals are the black of the paper, and are said by it.
      !c.name.startsWith('grey') &&
      !c.name.startsWith('neutral') &&
      c.name !== 'darkest',
  );
  if (out.length === 0) return '';
  const worst = out.reduce((a, b) => (a.outOfReach >= b.outOfReach ? a : b));
  const many = out.length > 1 ? `${out.length} colours are` : 'One colour is';
  return `${many} out of reach of this paper: no change brings “${worst.name}” nearer than ΔE00 ${number(worst.outOfReach, 1)}.`;
}
