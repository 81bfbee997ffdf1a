import {
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
import { labFrom, masterAxes, proofedInMaster } from '../colour/proofChain';
import { asNative, colourName, masterEnd } from '../colour/masterColour';
import type { PrintTarget } from '../colour/printTarget';
import { Kept } from '../kept';
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

/** Which part of the figures is asked for: some intents, and whether how far colours are out of reach. */
export interface FiguresPart {
  intents: readonly WeighedIntent[];
  reach: boolean;
}

/** Two parts that take about as long as each other. */
export const FIGURES_PARTS: readonly [FiguresPart, FiguresPart] = [
  { intents: ['relative', 'perceptual'], reach: false },
  { intents: ['absolute'], reach: true },
];

/** What one part found. */
export interface PartFound {
  pixels: number;
  stride: number;
  intents: Partial<Record<WeighedIntent, IntentFigures>>;
  reach: (ProofFigures['reach'] & { black: number }) | null;
}

/** What was taken of pictures of late: the same for the next paper. Up to 30 megabytes each. */
const pictures = new Kept<Taken>(2);

/** The colours of a picture, as they are measured. */
async function take({ pixels, colour, most }: FiguresWork) {
  const sample = await samplePicture(pixels, most);
  const { channels, samples } = sample;
  const gathered = gatherColours(samples, channels, masterAxes(colour, channels));
  const { icc, native } = masterEnd(colour, channels);
  const ruler = await labFrom(icc, native);
  const source = ruler.lab(asNative(gathered.colours, channels, native));
  ruler.close();
  const stretches = evenStretches(gathered.of, sample, source);
  // Of the pixels only their colours are asked from here on.
  return { sample: { ...sample, samples: null }, gathered, source, stretches };
}
type Taken = Awaited<ReturnType<typeof take>>;

const taken = (work: FiguresWork): Promise<Taken> =>
  pictures.of(`${work.pixels} ${work.most} ${colourName(work.colour)}`, () => take(work));

/** Measures a picture by some intents: between it and the proofed picture (see `proofedInMaster`). */
async function byIntents(
  { sample, gathered, source, stretches }: Taken,
  { colour, profile, blackPoint }: FiguresWork,
  asked: readonly WeighedIntent[],
): Promise<PartFound['intents']> {
  const { colours, weights, of } = gathered;
  const first = firstOf(gathered);
  const merging = mergingList(gathered);
  const all = weights.reduce((t, v) => t + v, 0);
  const found: PartFound['intents'] = {};
  const { icc, native } = masterEnd(colour, sample.channels);
  const ruler = await labFrom(icc, native);
  try {
    for (const intent of asked) {
      const bpc = blackPoint && intent !== 'absolute';
      const printed = { profile, intent, blackPoint: bpc };
      const way = await proofedInMaster(colour, sample.channels, printed);
      const proof = ruler.lab(Uint16Array.from(way.exact(colours, weights.length)));
      way.close();
      const merged = mergedPairs(pick(source, merging), pick(proof, merging));
      const { worst, ...gradients } = brokenGradients(stretches, of, proof);
      const share = merging.reduce(
        (t, at, i) => t + (merged.merges[i] ? weights[at]! : 0),
        0,
      );
      found[intent] = {
        bpc,
        cost: proofCost(differences(source, proof), source, weights),
        mergedPairs: merged.pairs,
        mergedShare: share / all,
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
  } finally {
    ruler.close();
  }
  return found;
}

/** Measures how far the colours of a picture are out of reach of a profile, and where. */
async function outOfReach(
  { sample, gathered, source }: Taken,
  profile: PrintTarget,
): Promise<NonNullable<PartFound['reach']>> {
  const { weights, of } = gathered;
  const reach = await gamutReach(profile);
  const far = reach.distance(source);
  reach.close();
  const { beyond, mean, p95, max } = proofCost(far, source, weights);
  const places = worstPlaces(far, of, sample).map(({ at, ...place }) => ({
    ...place,
    lab: labAt(source, of[at]!),
  }));
  return { beyond, mean, p95, max, places, black: deepestOf(reach.table) };
}

/** Measures one part of what printing a picture through a profile costs it. */
export async function figuresPart({
  work,
  part,
}: {
  work: FiguresWork;
  part: FiguresPart;
}): Promise<PartFound> {
  const all = await taken(work);
  const { width, height, stride } = all.sample;
  return {
    pixels: width * height,
    stride,
    intents: await byIntents(all, work, part.intents),
    reach: part.reach ? await outOfReach(all, work.profile) : null,
  };
}

/** All figures out of both parts. */
export function joinFigures([one, other]: readonly [PartFound, PartFound]): ProofFigures {
  const intents = { ...one.intents, ...other.intents } as ProofFigures['intents'];
  const { black, ...reach } = (one.reach ?? other.reach)!;
  return {
    pixels: one.pixels,
    stride: one.stride,
    intents,
    recommended: recommendIntent(intents),
    reach,
    black,
  };
}

/** Measures a picture against a profile in one go. */
export const proofFigures = async (work: FiguresWork): Promise<ProofFigures> =>
  joinFigures([
    await figuresPart({ work, part: FIGURES_PARTS[0] }),
    await figuresPart({ work, part: FIGURES_PARTS[1] }),
  ]);
