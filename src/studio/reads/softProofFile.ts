import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import type { SpaceId } from '@/core/colour';
import type { Intent } from '@/core/prepare';
import { WEIGHED_INTENTS } from '@/core/proof';
import type { WeighedIntent } from '@/core/proof';
import { fillSoftProof, measureProof, runInWorker } from '@/engine';
import type { IntentFigures, PrintTarget, ProofFigures, Progress } from '@/engine';
import { becauseWords } from '../words/proofWords';
import { decodedFile } from './decodedFile';
import { usableProfile } from './usableProfile';

/** A sentence instead of an answer. */
export class NotProofed extends Error {}

/** What the command line says of a proof. The keys are documented and stay as they are. */
export interface ProofReport {
  intents: Record<WeighedIntent, ReportedIntent>;
  recommended: 'relative' | 'perceptual';
  because: string;
  /** Pixels that were measured. */
  pixels: number;
  /** How far colours are from the nearest that can be printed, CIEDE2000. */
  outOfGamut: {
    beyond1: number;
    beyond2: number;
    beyond5: number;
    mean: number;
    p95: number;
    max: number;
  };
  /** Where most of it is, shares of width and height. */
  worst: { x: number; y: number; mean: number; max: number }[];
  /** L* of the deepest black that the profile prints, paper white being 100. */
  black: number;
  /** The space an untagged file was read in; null where the file says its own. */
  assumed: SpaceId | null;
}

interface ReportedIntent {
  bpc: boolean;
  beyond1: number;
  beyond2: number;
  beyond5: number;
  mean: number;
  p95: number;
  max: number;
  mergedPairs: number;
  mergedShare: number;
  brokenGradients: number;
}

const rounded = (v: number, digits = 4): number => Number(v.toFixed(digits));

const beyondOf = ([one, two, five]: readonly [number, number, number]) => ({
  beyond1: rounded(one, 6),
  beyond2: rounded(two, 6),
  beyond5: rounded(five, 6),
});

const reported = ({
  bpc,
  cost,
  mergedPairs,
  mergedShare,
  gradients,
}: IntentFigures): ReportedIntent => ({
  bpc,
  ...beyondOf(cost.beyond),
  mean: rounded(cost.mean),
  p95: rounded(cost.p95),
  max: rounded(cost.max),
  mergedPairs,
  mergedShare: rounded(mergedShare, 6),
  brokenGradients: gradients.broken,
});

export const proofReport = (found: ProofFigures, assumed: SpaceId | null): ProofReport => ({
  intents: Object.fromEntries(
    WEIGHED_INTENTS.map((intent) => [intent, reported(found.intents[intent])]),
  ) as ProofReport['intents'],
  recommended: found.recommended.intent,
  because: becauseWords(found),
  pixels: found.pixels,
  outOfGamut: {
    ...beyondOf(found.reach.beyond),
    mean: rounded(found.reach.mean),
    p95: rounded(found.reach.p95),
    max: rounded(found.reach.max),
  },
  worst: found.reach.places.map(({ x, y, mean, most }) => ({
    x: rounded(x),
    y: rounded(y),
    mean: rounded(mean, 2),
    max: rounded(most, 2),
  })),
  black: rounded(found.black, 2),
  assumed,
});

/** Reads a profile to print through from a file. Throws NotProofed, in words. */
export async function printTargetOf(path: string): Promise<PrintTarget> {
  const bytes = await readFile(path).catch(() => null);
  if (!bytes) throw new NotProofed(`${path}: there is no such file, or it cannot be read.`);
  const usable = await usableProfile(new Uint8Array(bytes), basename(path));
  if (typeof usable === 'string') throw new NotProofed(usable);
  return usable.target;
}

/**
 * Proofs a file through a profile: measures what each intent costs it and, where `out` is named,
 * writes the proofed picture there. Throws NotProofed, in words, and FileRefusal.
 */
export async function softProofFile(
  file: string,
  {
    profile,
    intent,
    blackPoint,
    out,
  }: { profile: PrintTarget; intent: Intent; blackPoint: boolean; out: string | null },
  progress: Progress,
  signal: AbortSignal,
): Promise<ProofReport> {
  const folder = await mkdtemp(join(tmpdir(), 'glassine-'));
  const pixels = join(folder, 'pixels.v');
  try {
    const { facts, colour } = await decodedFile(file, pixels, progress, signal);
    const { width, height, colourModel, ppiTag } = facts;
    const measured = measureProof(
      { pixels, colour, profile, blackPoint },
      runInWorker,
      signal,
    );
    if (out) {
      const channels = colourModel === 'grey' ? 1 : 3;
      const way = { profile, intent, blackPoint };
      const work = {
        pixels,
        width,
        height,
        channels,
        ppi: ppiTag ?? 300,
        colour,
        way,
        target: out,
      } as const;
      try {
        await Promise.all([measured, fillSoftProof(work, progress, signal)]);
      } catch (error) {
        // Half a proof is none; one that was there before is not touched.
        if ((error as NodeJS.ErrnoException).code !== 'EEXIST')
          await rm(out, { force: true });
        throw error;
      }
    }
    return proofReport(await measured, colour.assumedSpace);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
