import { D50, labOf, mediaWhite, smooth } from '@/core/colour';
import type { Vector } from '@/core/colour';
import { coloursThrough } from '@/core/prepare';
import type { RecipeStep } from '@/core/prepare';
import { asMeasured, proposeChange } from '@/core/proof';
import type { PrintedColour, ProposedChange } from '@/core/proof';
import { floatTransform, floatsOf } from './littleCms';
import type { ProofWay } from './proofChain';

/** Colours over the white of the paper, CIELAB, before and after printing; to be closed. */
interface PaperWay {
  print(this: void, labs: readonly Vector[]): Vector[];
  close(): void;
}

/** Prints colours through a profile; what a measured strip is held against. */
async function paperWay({ profile, intent, blackPoint }: ProofWay): Promise<PaperWay> {
  const device = { end: profile.icc, as: floatsOf(profile.channels) };
  const lab = { end: 'lab', as: 'lab' } as const;
  // Over the white of the paper an absolute intent is a relative one.
  const by = intent === 'absolute' ? 'relative' : intent;
  const there = await floatTransform(lab, device, { intent: by, blackPoint });
  const back = await floatTransform(device, lab, { intent: 'relative', blackPoint: false });
  const whole = profile.channels === 4 ? 100 : 1;
  return {
    print(labs) {
      const inks = there.convert(Float32Array.from(labs.flat()));
      // A file holds no value beyond its ends.
      const printed = back.convert(inks.map((v) => Math.min(whole, Math.max(0, v))));
      return labs.map((_, i): Vector => [
        printed[3 * i]!,
        printed[3 * i + 1]!,
        printed[3 * i + 2]!,
      ]);
    },
    close() {
      there.close();
      back.close();
    },
  };
}

/** The white of a paper as an instrument measures it, CIELAB; of D50 where its profile names none. */
export const paperWhiteOf = (icc: Uint8Array): Vector =>
  labOf(mediaWhite(icc) ?? ([...D50] as Vector));

/** What is printed of colours of a picture by the steps of a recipe, CIELAB as an instrument measures them. */
export async function measuredOnPaper({
  labs,
  steps,
  way,
}: {
  labs: readonly Vector[];
  steps: readonly RecipeStep[];
  way: ProofWay;
}): Promise<Vector[]> {
  const paper = await paperWay(way);
  try {
    const white = paperWhiteOf(way.profile.icc);
    return paper.print(coloursThrough(steps, labs)).map((lab) => asMeasured(lab, white));
  } finally {
    paper.close();
  }
}

/** From the black of the paper up to so many times its lightness the black of the picture gives way. */
const GIVES_WAY = 3;

/**
 * The original as a good print has it: its own colours where the paper holds them, the nearest it holds
 * elsewhere; towards black, where the paper ends before the picture does, tones drawn together as
 * black point compensation does, so that none is lost.
 */
function goodPrint(drawnTogether: PaperWay['print'], nearest: PaperWay['print']) {
  const [black] = drawnTogether([[0, 0, 0]]);
  const from = black![0];
  return (labs: readonly Vector[]): Vector[] => {
    const [dark, light] = [drawnTogether(labs), nearest(labs)];
    return labs.map(([l], i) => {
      const share = smooth(l, from, from * GIVES_WAY);
      return dark[i]!.map((v, c) => v + share * (light[i]![c as 0] - v)) as Vector;
    });
  };
}

/** The change to try of a recipe, see `proposeChange`; without a profile nothing is known to be out of reach. */
export async function changeToTry({
  colours,
  steps,
  way,
}: {
  colours: readonly PrintedColour[];
  steps: readonly RecipeStep[];
  way: ProofWay | null;
}): Promise<ProposedChange> {
  if (!way) {
    const same = (labs: readonly Vector[]) => labs.map((lab): Vector => [...lab]);
    return proposeChange(colours, steps, same, same);
  }
  const [paper, good, nearest] = await Promise.all([
    paperWay(way),
    paperWay({ ...way, intent: 'relative', blackPoint: true }),
    paperWay({ ...way, intent: 'relative', blackPoint: false }),
  ]);
  try {
    return proposeChange(
      colours,
      steps,
      paper.print,
      goodPrint(good.print, nearest.print),
      nearest.print,
    );
  } finally {
    paper.close();
    good.close();
    nearest.close();
  }
}
