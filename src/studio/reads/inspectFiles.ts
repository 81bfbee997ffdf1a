import { mkdtemp, readdir, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { extname, join } from 'node:path';
import { adviseTags, readingCautions } from '@/core/capture';
import type { MasterCaution } from '@/core/capture';
import type { MasterFacts } from '@/core/image';
import { FileRefusal, inspect } from '@/engine';
import type { Progress } from '@/engine';
import { decodedFile } from './decodedFile';
import { faultWords } from '../words/faults';
import { refusalWords } from '../words/refusalWords';

/** What the command line says of one file. The keys are documented and stay as they are. */
export type FileReport =
  | {
      file: string;
      width: number;
      height: number;
      bitsPerChannel: number;
      colourModel: MasterFacts['colourModel'];
      ppi: number | null;
      iccDescription: string | null;
      detailFraction: number | null;
      detailConfidence: number;
      specks: { x: number; y: number; diameterPx: number; confidence: number }[];
      /** Per channel, 0..1: samples at the lower and at the upper end of the scale. */
      clippedShare: { low: number[]; high: number[] };
      noise: number | null;
      skewDegrees: number | null;
      warnings: MasterCaution[];
    }
  | { file: string; error: string };

const PICTURES = new Set(['.tif', '.tiff', '.jpg', '.jpeg', '.png']);

/** Files named, and the pictures in folders named, in order. What is not there stays as named. */
export async function filesIn(named: readonly string[]): Promise<string[]> {
  const files: string[] = [];
  for (const path of named) {
    const there = await stat(path).catch(() => null);
    if (!there?.isDirectory()) files.push(path);
    else
      for (const entry of (await readdir(path)).sort())
        if (PICTURES.has(extname(entry).toLowerCase())) files.push(join(path, entry));
  }
  return files;
}

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));

/** Reads one file as the capture station does; a file that cannot be read is answered, not thrown. */
export async function inspectFile(
  file: string,
  progress: Progress,
  signal: AbortSignal,
): Promise<FileReport> {
  const folder = await mkdtemp(join(tmpdir(), 'glassine-'));
  const pixels = join(folder, 'pixels.v');
  try {
    const { facts } = await decodedFile(file, pixels, progress, signal);
    const { reading } = await inspect(pixels, progress, signal);
    const { detail, specks, tone, noise, geometry } = reading;
    const judged = {
      reading,
      facts,
      specks: [],
      cropped: false,
      flatFielded: false,
      evenness: null,
    };
    return {
      file,
      width: facts.width,
      height: facts.height,
      bitsPerChannel: facts.bitsPerChannel,
      colourModel: facts.colourModel,
      ppi: facts.ppiTag,
      iccDescription: facts.iccDescription,
      detailFraction: detail.fraction === null ? null : rounded(detail.fraction, 3),
      detailConfidence: rounded(detail.confidence, 3),
      specks: specks.found.map((s) => ({
        x: rounded(s.x, 1),
        y: rounded(s.y, 1),
        diameterPx: rounded(s.diameter, 1),
        confidence: rounded(s.confidence, 3),
      })),
      clippedShare: {
        low: tone.clipped.low.map((v) => rounded(v, 6)),
        high: tone.clipped.high.map((v) => rounded(v, 6)),
      },
      noise: noise.overall === null ? null : rounded(noise.overall, 3),
      skewDegrees: geometry.skewDegrees === null ? null : rounded(geometry.skewDegrees, 3),
      warnings: [...adviseTags(facts, null, null), ...readingCautions(judged)],
    };
  } catch (error) {
    return { file, error: fileFaultWords(file, error) };
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** Why a file could not be read, in a sentence. */
export function fileFaultWords(file: string, error: unknown): string {
  if (error instanceof FileRefusal) return refusalWords(file, error.refused);
  const { code } = error as NodeJS.ErrnoException;
  if (code === 'ENOENT') return `${file}: there is no such file, or it went away.`;
  return (
    faultWords(error) ??
    `${file}: ${error instanceof Error ? error.message : String(error)}`
  );
}
