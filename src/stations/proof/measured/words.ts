import { CURVE_AT, HUES, TONES } from '@/core/colour';
import { OUT_OF_REACH, seenGrade } from '@/core/proof';
import type { ChangedColour, MeanShift, NumberMoved, ProposedChange } from '@/core/proof';
import type { Format } from '@/shell/figures';
import { shiftWords } from '@/studio/words/stripWords';

const signed = (v: number): string => `${v > 0 ? '+' : '−'}${Math.abs(v)}`;
const WAYS = ['L*', 'a*', 'b*'] as const;

/** A number of a recipe that is moved, as one reads it: `lightness +4`, `reds b* −2`. */
export function movedWords({ part, at, was, now }: NumberMoved): string {
  const by = signed(Number((now - was).toFixed(2)));
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
export function movesWords(moved: readonly NumberMoved[]): string {
  const size = (m: NumberMoved) => Math.abs(m.now - m.was) / USUAL[m.step];
  const sorted = [...moved].sort((a, b) => size(b) - size(a));
  const more = sorted.length - NAMED;
  const said = sorted.slice(0, NAMED).map(movedWords).join(', ');
  return more > 0 ? `${said}, and ${more} smaller` : said;
}

/** A change in words, with what it is expected to leave. */
export const changeWords = ({ moved, before, left }: ProposedChange): string =>
  moved.length === 0
    ? 'Nothing to change.'
    : `Expected to leave ΔE00 ${left.toFixed(1)} of ${before.toFixed(1)} of what this paper holds: ${movesWords(moved)}.`;

/** A figure of one decimal with its sign; none before nought. */
export const signedFigure = (v: number, { number }: Pick<Format, 'number'>): string =>
  `${v < -0.049 ? '−' : v > 0.049 ? '+' : ''}${number(Math.abs(v), 1)}`;

const TO_THE_EYE = [
  'not to be seen',
  'close',
  'seen side by side',
  'clearly seen',
  'plainly wrong',
] as const;

/** What a difference means to the eye: rules of thumb. */
export const meansWords = (difference: number): string =>
  TO_THE_EYE[seenGrade(difference)]!;

/** How a print came, in words, and what that means to the eye. */
export const cameWords = (shift: MeanShift): string =>
  `${shiftWords(shift) || 'as the master'}; ${meansWords(shift.difference)}`;

/** Colours that this paper cannot hold, in words; empty where it holds them all. */
export function outOfReachWords(colours: readonly ChangedColour[]): string {
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
  return `${many} out of reach of this paper: no change brings “${worst.name}” nearer than ΔE00 ${worst.outOfReach.toFixed(1)}.`;
}
