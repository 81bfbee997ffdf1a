import { stat } from 'node:fs/promises';
import { readMaster, runInWorker } from '@/engine';
import type { ColouredPixels, Progress } from '@/engine';
import type { MasterFacts } from '@/core/image';

/** A picture file decoded for the while; where it says nothing of its colours they are read as sRGB. */
export interface DecodedFile extends ColouredPixels {
  facts: MasterFacts;
}

/** Decodes a file into `target`, a name ending in `.v`. Throws FileRefusal. */
export async function decodedFile(
  path: string,
  target: string,
  progress: Progress,
  signal: AbortSignal,
  run = runInWorker,
): Promise<DecodedFile> {
  const { facts, icc } = await readMaster(path, (await stat(path)).size);
  const decode = { path, facts, part: `${target}.part.v`, target };
  await run('decode', decode, progress, signal);
  return { pixels: target, facts, colour: { icc, assumedSpace: icc ? null : 'srgb' } };
}
