import type { Vector } from '@/core/colour';
import { colourSteps, stripOn } from '@/core/prepare';
import type { RecipeStep, StripPatch } from '@/core/prepare';
import { compareStrips, readAgainstPaper } from '@/core/proof';
import type { PatchReading, PrintedColour, ProposedChange, StripDrift } from '@/core/proof';
import { getSheetFile } from '@/data';
import type { Proof, ProofReading, Reading } from '@/data';
import { Kept, runAtOnce } from '@/engine';
import type { ProofWay } from '@/engine';
import type { Studio } from '../running/studio';
import { targetFor } from './targets';

/** What a measured proof says. */
export interface MeasuredProof {
  strip: StripPatch[];
  /** The white of the paper as it was read, CIELAB. */
  paper: Vector;
  /** Patches that were not read. */
  missing: string[];
  /** Against the master, over the white of the paper. */
  drift: StripDrift;
  /** The same as a soft proof foretold it; null without a profile. */
  foretold: StripDrift | null;
  change: ProposedChange;
}

const nobody = () => new AbortController().signal;
const silent = () => undefined;
const answers = new Kept<MeasuredProof>(40);

/** The strip that is on what was sent; null where none is. */
export async function stripOfRound(
  db: Reading,
  round: Pick<Proof, 'sheetId'>,
): Promise<StripPatch[] | null> {
  const sheet = round.sheetId ? await getSheetFile(db, round.sheetId) : undefined;
  return (sheet && stripOn(sheet.content)?.patches) ?? null;
}

/** How a round was printed; null where its profile is not known. */
async function wayOf(
  open: Studio,
  round: Pick<Proof, 'profileSha256' | 'intent' | 'blackPoint'>,
): Promise<ProofWay | null> {
  if (!round.profileSha256) return null;
  return {
    profile: await targetFor(open, `icc:${round.profileSha256}`),
    intent: round.intent ?? 'relative',
    blackPoint: round.blackPoint ?? true,
  };
}

/** What of a recipe moves colours; a strip is printed by the rule of now, whatever its recipe's is. */
const stepsOf = (recipe: Proof['recipe']): RecipeStep[] =>
  recipe ? colourSteps(recipe) : [];

/** What is printed of a round's strip, as an instrument would measure it; on plain white where no profile is known. */
export async function printedStrip(
  open: Studio,
  round: Pick<Proof, 'profileSha256' | 'intent' | 'blackPoint' | 'recipe'>,
  strip: readonly StripPatch[],
): Promise<PatchReading[]> {
  const way = await wayOf(open, round);
  const labs = strip.map((p) => p.lab);
  const steps = stepsOf(round.recipe);
  const measured = way
    ? await runAtOnce('measuredOnPaper', { labs, steps, way }, silent, nobody())
    : labs;
  return strip.map(({ name }, i) => ({ name, lab: measured[i]! }));
}

/** How much a patch counts for a change: paper and full black are as they are. */
const weightOf = ({ kind }: StripPatch): number =>
  kind === 'paper' || kind === 'black' ? 0 : kind === 'extreme' ? 0.5 : 1;

/** The change to try of a round, by colours of the original and how they came. */
export const changeOf = async (
  open: Studio,
  round: Pick<Proof, 'profileSha256' | 'intent' | 'blackPoint' | 'recipe'>,
  colours: PrintedColour[],
): Promise<ProposedChange> => {
  const way = await wayOf(open, round);
  const steps = round.recipe ? round.recipe.steps : [];
  return runAtOnce('changeToTry', { colours, steps, way }, silent, nobody());
};

/** What a reading of a round says, and the change to try; null where it is no reading of its strip any more. */
export async function measuredProof(
  open: Studio,
  db: Reading,
  round: Proof,
  reading: ProofReading,
): Promise<MeasuredProof | null> {
  const strip = await stripOfRound(db, round);
  if (!strip) return null;
  const read = readAgainstPaper(strip, reading.patches);
  if ('code' in read) return null;
  return answers.of(`${open.home} ${reading.id}`, async () => {
    const byName = new Map(read.patches.map((p) => [p.name, p.lab]));
    const there = strip.filter((p) => byName.has(p.name));
    const drift = compareStrips(
      read.patches.filter((p) => p.name !== 'paper'),
      there.filter((p) => p.kind !== 'paper'),
    );
    if ('code' in drift) throw new Error(`a strip without patches: ${drift.code}`);
    const colours = there.map((p): PrintedColour => ({
      name: p.name,
      master: p.lab,
      printed: byName.get(p.name)!,
      weight: weightOf(p),
    }));
    const [change, asForetold] = await Promise.all([
      changeOf(open, round, colours),
      round.profileSha256 ? printedStrip(open, round, there) : null,
    ]);
    const over = asForetold && readAgainstPaper(there, asForetold);
    const foretold =
      over && !('code' in over)
        ? compareStrips(
            over.patches.filter((p) => p.name !== 'paper'),
            there.filter((p) => p.kind !== 'paper'),
          )
        : null;
    return {
      strip,
      paper: read.paper,
      missing: read.missing,
      drift,
      foretold: foretold && !('code' in foretold) ? foretold : null,
      change,
    };
  });
}
