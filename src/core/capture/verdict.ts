import type { MasterFacts } from '../image';
import type { Evenness } from './evenness';
import { LEAST_KEYSTONE } from './geometry';
import type { MasterReading } from './reading';
import { SHOWN_FROM } from './specks';
import type { SpeckVerdict } from './specks';
import type { SizeCaution, TagCaution } from './advise';

/** What was measured in a master and should be known before anything is printed from it. */
export type ReadingCaution =
  | { code: 'enlarged'; fraction: number; confidence: number }
  | { code: 'specks'; count: number }
  | { code: 'lookYourself'; tiles: number }
  | { code: 'clipped'; end: 'low' | 'high'; channel: number; share: number }
  | { code: 'narrowProfile'; share: number }
  | { code: 'unusedRange'; black: number; white: number }
  | { code: 'noisy'; noise: number }
  | { code: 'askew'; degrees: number }
  | { code: 'bedEdges'; sides: number }
  | { code: 'keystone'; degrees: number }
  | { code: 'shallow' }
  | { code: 'uneven'; stops: number; corner: Evenness['worst']['corner'] }
  | { code: 'signatureUnknown' };

export type MasterCaution = TagCaution | SizeCaution | ReadingCaution;

/** Ready to size; ready with cautions; or the capture is to be done again. */
export type MasterVerdict = 'ready' | 'cautions' | 'again';

/** Limits of the verdict. Rules of thumb. */
export const VERDICT_RULES = {
  /** Detail under this fraction is worth a word; under the other, capture again. */
  soft: 0.9,
  hopeless: 0.45,
  /** Below this confidence nothing is said of detail. */
  sure: 0.5,
  /** Share of samples of a channel at an end of the scale; beyond the other, capture again. */
  clipped: 0.002,
  burnt: 0.08,
  /** A channel clipped by this much more than another speaks of a profile too narrow. */
  narrow: 0.003,
  /** White point below, or black point above this, of the scale: range unused. */
  whiteFrom: 0.9,
  blackTo: 0.12,
  /** Noise, of 255. */
  noisy: 2.5,
  /** Skew, degrees. */
  askew: 0.2,
} as const;

export interface Judged {
  reading: MasterReading;
  facts: Pick<MasterFacts, 'bitsPerChannel'>;
  /** Verdicts on the specks found, in their order. */
  specks: readonly SpeckVerdict[];
  /** Whether a crop was accepted, and whether the light was evened out. */
  cropped: boolean;
  flatFielded: boolean;
  evenness: Evenness | null;
}

function toneCautions({ reading, facts }: Judged): ReadingCaution[] {
  const { tone, noise, deep } = reading;
  const cautions: ReadingCaution[] = [];
  const R = VERDICT_RULES;
  for (const end of ['high', 'low'] as const) {
    const shares = tone.clipped[end];
    const most = Math.max(...shares);
    if (most > R.clipped)
      cautions.push({ code: 'clipped', end, channel: shares.indexOf(most), share: most });
  }
  const spread = (shares: readonly number[]) => Math.max(...shares) - Math.min(...shares);
  const apart = Math.max(spread(tone.clipped.low), spread(tone.clipped.high));
  if (apart > R.narrow) cautions.push({ code: 'narrowProfile', share: apart });
  const white = Math.max(...tone.white);
  const black = Math.min(...tone.black);
  if (white < R.whiteFrom || black > R.blackTo)
    cautions.push({ code: 'unusedRange', black, white });
  if (noise.overall !== null && noise.overall > R.noisy)
    cautions.push({ code: 'noisy', noise: noise.overall });
  if (facts.bitsPerChannel === 16 && !deep) cautions.push({ code: 'shallow' });
  return cautions;
}

function geometryCautions({ reading, cropped }: Judged): ReadingCaution[] {
  if (cropped) return [];
  const { skewDegrees, keystone, edges, proposal } = reading.geometry;
  const cautions: ReadingCaution[] = [];
  const tilt = Math.max(Math.abs(keystone.across ?? 0), Math.abs(keystone.down ?? 0));
  if (tilt >= LEAST_KEYSTONE) cautions.push({ code: 'keystone', degrees: tilt });
  if (skewDegrees !== null && Math.abs(skewDegrees) >= VERDICT_RULES.askew)
    cautions.push({ code: 'askew', degrees: skewDegrees });
  else if (proposal) cautions.push({ code: 'bedEdges', sides: Object.keys(edges).length });
  return cautions;
}

/** Cautions of a reading, the weightiest first. */
export function readingCautions(judged: Judged): ReadingCaution[] {
  const { reading, specks, evenness, flatFielded } = judged;
  const { detail } = reading;
  const cautions: ReadingCaution[] = [];
  if (
    detail.fraction !== null &&
    detail.fraction < VERDICT_RULES.soft &&
    detail.confidence >= VERDICT_RULES.sure
  )
    cautions.push({
      code: 'enlarged',
      fraction: detail.fraction,
      confidence: detail.confidence,
    });
  if (evenness && evenness.verdict !== 'good' && !flatFielded)
    cautions.push({
      code: 'uneven',
      stops: evenness.falloff,
      corner: evenness.worst.corner,
    });
  cautions.push(...toneCautions(judged), ...geometryCautions(judged));
  const open = reading.specks.found.filter(
    (s, i) => s.confidence >= SHOWN_FROM && (specks[i] ?? 'open') === 'open',
  );
  if (open.length > 0) cautions.push({ code: 'specks', count: open.length });
  if (reading.specks.busy.length > 0)
    cautions.push({ code: 'lookYourself', tiles: reading.specks.busy.length });
  return cautions;
}

/** Cautions for which a capture should be made again rather than lived with. */
const isGrave = (caution: MasterCaution): boolean =>
  (caution.code === 'enlarged' && caution.fraction < VERDICT_RULES.hopeless) ||
  (caution.code === 'clipped' &&
    caution.end === 'high' &&
    caution.share > VERDICT_RULES.burnt);

/** The one verdict, with what it rests on. */
export function masterVerdict(cautions: readonly MasterCaution[]): {
  verdict: MasterVerdict;
  because: MasterCaution | null;
} {
  const grave = cautions.find(isGrave);
  if (grave) return { verdict: 'again', because: grave };
  return { verdict: cautions.length > 0 ? 'cautions' : 'ready', because: null };
}
