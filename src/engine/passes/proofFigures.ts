import {
  WEIGHED_INTENTS,
  brokenGradients,
  differences,
  evenStretches,
  gatherColours,
  labAt,
  mergedPairs,
  mergingList,
  proofCost,
  recommendIntent,
  worstPlaces,
} from '@/core/proof';
import type {
  Gathered,
  Gradients,
  IntentCost,
  ProofCost,
  Recommendation,
  WeighedIntent,
  WorstPlace,
} from '@/core/proof';
import type { Vector } from '@/core/colour';
import { deepestOf, gamutReach } from '../colour/gamutReach';
import type { MasterColour } from '../colour/masterColour';
import {
  asNative,
  labFrom,
  masterAxes,
  masterEnd,
  proofedInMaster,
} from '../colour/proofChain';
import type { PrintTarget } from '../colour/printTarget';
import { samplePicture } from './samplePass';
import type { Sample } from './samplePass';

/** A colour that cannot be told from another any more: both before, and what they become. */
export interface MergedExample {
  before: [Vector, Vector];
  after: [Vector, Vector];
  /** Where the first of them is, shares of width and height. */
  x: number;
  y: number;
}

export interface IntentFigures extends IntentCost {
  bpc: boolean;
  examples: MergedExample[];
  gradients: Pick<Gradients, 'smooth' | 'broken'> & {
    worst: { x: number; y: number } | null;
  };
}

/** What printing a picture through a profile costs it. */
export interface ProofFigures {
  /** Pixels that were measured, and one of how many along each side. */
  pixels: number;
  stride: number;
  intents: Record<WeighedIntent, IntentFigures>;
  recommended: Recommendation;
  /** How far colours are from the nearest that can be printed. */
  reach: Pick<ProofCost, 'beyond' | 'mean' | 'p95' | 'max'> & { places: Place[] };
  /** L* of the deepest black, paper white being 100. */
  black: number;
}

export interface Place extends Omit<WorstPlace, 'at'> {
  /** L*a*b* of the pixel where most is lost. */
  lab: Vector;
}

export interface FiguresWork {
  pixels: string;
  colour: MasterColour;
  profile: PrintTarget;
  blackPoint: boolean;
  /** Pixels measured at most. */
  most?: number;
}

const shareOf = (at: number, { width, height }: Pick<Sample, 'width' | 'height'>) => ({
  x: ((at % width) + 0.5) / width,
  y: (((at / width) | 0) + 0.5) / height,
});

/** The first pixel of each colour. */
function firstOf({ of, weights }: Gathered): Int32Array {
  const first = new Int32Array(weights.length).fill(-1);
  for (let p = of.length - 1; p >= 0; p -= 1) first[of[p]!] = p;
  return first;
}

const pick = (lab: Float32Array, of: ArrayLike<number>): Float32Array => {
  const out = new Float32Array(of.length * 3);
  for (let i = 0; i < of.length; i += 1) out.set(labAt(lab, of[i]!), i * 3);
  return out;
};

/**
 * Measures a picture against a profile: what each intent changes, how far its colours are out of
 * reach, and where. CIEDE2000 between the master and the proofed picture (see
 * `proofedInMaster`), colours brought together as `gatherColours` does.
 */
export async function proofFigures(work: FiguresWork): Promise<ProofFigures> {
  const sample = await samplePicture(work.pixels, work.most);
  return figuresOf(sample, work);
}

/** The same of pixels that were taken already. */
export async function figuresOf(
  sample: Sample,
  { colour, profile, blackPoint }: Omit<FiguresWork, 'pixels'>,
): Promise<ProofFigures> {
  const { channels } = sample;
  const gathered = gatherColours(sample.samples, channels, masterAxes(colour, channels));
  const { colours, weights, of } = gathered;
  const count = weights.length;
  const first = firstOf(gathered);
  const { icc, native } = masterEnd(colour, channels);
  const ruler = await labFrom(icc, native);
  const source = ruler.lab(asNative(colours, channels, native));
  const merging = mergingList(gathered);
  const stretches = evenStretches(of, sample, source);
  const intents = {} as Record<WeighedIntent, IntentFigures>;
  for (const intent of WEIGHED_INTENTS) {
    const bpc = blackPoint && intent !== 'absolute';
    const way = await proofedInMaster(colour, channels, {
      profile,
      intent,
      blackPoint: bpc,
    });
    const proof = ruler.lab(Uint16Array.from(way.exact(colours, count)));
    way.close();
    const merged = mergedPairs(pick(source, merging), pick(proof, merging));
    const all = weights.reduce((t, v) => t + v, 0);
    const { worst, ...gradients } = brokenGradients(stretches, of, proof);
    intents[intent] = {
      bpc,
      cost: proofCost(differences(source, proof), source, weights),
      mergedPairs: merged.pairs,
      mergedShare:
        merging.reduce((t, at, i) => t + (merged.merges[i] ? weights[at]! : 0), 0) / all,
      examples: merged.examples.map(({ one, other }) => {
        const [a, b] = [merging[one]!, merging[other]!];
        return {
          before: [labAt(source, a), labAt(source, b)],
          after: [labAt(proof, a), labAt(proof, b)],
          ...shareOf(first[a]!, sample),
        };
      }),
      gradients: { ...gradients, worst: worst === null ? null : shareOf(worst, sample) },
    };
  }
  ruler.close();
  const reach = await gamutReach(profile);
  const far = reach.distance(source);
  reach.close();
  const { beyond, mean, p95, max } = proofCost(far, source, weights);
  const places = worstPlaces(far, of, sample);
  return {
    pixels: sample.width * sample.height,
    stride: sample.stride,
    intents,
    recommended: recommendIntent(intents),
    reach: {
      beyond,
      mean,
      p95,
      max,
      places: places.map(({ at, ...place }) => ({ ...place, lab: labAt(source, of[at]!) })),
    },
    black: deepestOf(reach.table),
  };
}
