import { HUES } from '@/core/colour';
import { rankPapers } from '@/core/proof';
import type { WeighedIntent } from '@/core/proof';
import type { ProofFigures } from '@/engine';
import type { Written } from '@/studio/words/figures';
import { meansWords, percent } from '@/studio/words/proofWords';
import type { PaperAtHand } from '../view';
import type { FiguresBy } from './useFigures';

/** The hues of which most is lost by an intent, those that take up some of the picture. */
export function lostHues({ intents }: ProofFigures, intent: WeighedIntent): string[] {
  const { byHue } = intents[intent].cost;
  return HUES.filter((h) => byHue[h].share > 0.002 && byHue[h].mean > 2)
    .sort((a, b) => byHue[b].mean * byHue[b].share - byHue[a].mean * byHue[a].share)
    .slice(0, 2)
    .map((h) => `${h}s`);
}

/** What a paper does to a picture, in one sentence. */
export function paperSentence(
  found: ProofFigures,
  intent: WeighedIntent,
  written: Written,
): string {
  const { cost } = found.intents[intent];
  const lost = lostHues(found, intent);
  const whole = `the mean change is ${meansWords(cost.mean)}`;
  if (lost.length > 0) return `Most is lost in the ${lost.join(' and the ')}; ${whole}.`;
  return found.reach.beyond[1] < 0.001
    ? `Nearly all of it is within reach; ${whole}.`
    : `${percent(found.reach.beyond[1], written)} is out of reach, in its darkest or quiet tones; ${whole}.`;
}

const holds = (found: ProofFigures) => {
  const { cost } = found.intents[found.recommended.intent];
  return { mean: cost.mean, p95: cost.p95 };
};

/** Which of the papers that were measured holds the picture best, and by how much; empty before two are known. */
export function bestPaper(
  papers: readonly PaperAtHand[],
  by: FiguresBy,
  picked: number,
  written: Written,
): string {
  const known = papers.flatMap((p) => {
    const found = p.profile && by[`icc:${p.profile.sha256}`];
    return found ? [{ ...p, ...holds(found), found }] : [];
  });
  if (known.length < 2) return '';
  const [best] = rankPapers(known);
  const other =
    known.find((p) => p.id === picked && p.id !== best!.id) ?? rankPapers(known)[1]!;
  const less = (other.found.reach.beyond[1] - best!.found.reach.beyond[1]) * 100;
  const deeper = other.found.black - best!.found.black;
  const parts = [
    `mean ΔE00 ${written(best!.mean, 1)} against ${written(other.mean, 1)} on ${other.name}`,
    ...(less > 0.05 ? [`${written(less, 1)} points less out of reach`] : []),
    ...(deeper > 0.5 ? [`black ${written(deeper, 0)} L* deeper`] : []),
  ];
  return `${best!.name} holds it best: ${parts.join(', ')}.`;
}

/** Which space a file needs to be handed over in, from what each takes off the master. */
export function spaceSentence(by: FiguresBy, written: Written): string {
  const [a98, srgb] = [by['a98-rgb'], by.srgb];
  if (!a98 || !srgb) return '';
  const lost = (f: ProofFigures) => f.reach.beyond[0];
  if (lost(srgb) < 0.001)
    return `sRGB is wide enough to hand it over: ${percent(lost(srgb), written)} of the picture is beyond it by more than ΔE00 1.`;
  if (lost(a98) < 0.001)
    return `Hand it over in A98: sRGB would take colours off ${percent(lost(srgb), written)} of the picture, A98 off ${percent(lost(a98), written)}.`;
  return `Hand it over in a wider space if the printer takes one: A98 takes colours off ${percent(lost(a98), written)} of the picture, sRGB off ${percent(lost(srgb), written)}.`;
}
