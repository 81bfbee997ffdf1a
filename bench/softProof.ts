/** The whole picture proofed, against `tificc` for the same two conversions on the same file. */
import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { RGB_SPACES, iccProfile } from '@/core/colour';

const COTTON = 'demo/profiles/heron-press-cotton.icc';

/** Seconds that `tificc` takes from the picture to the paper and back. */
export function tificc(picture: string, folder: string): number {
  const own = join(folder, 'own.icc');
  writeFileSync(own, iccProfile(RGB_SPACES['prophoto-rgb']));
  const [there, back] = [join(folder, 'there.tif'), join(folder, 'back.tif')];
  const from = performance.now();
  for (const [i, o, input, output] of [
    [own, COTTON, picture, there],
    [COTTON, own, there, back],
  ] as const) {
    const args = ['-w16', '-t1', '-b', `-i${i}`, `-o${o}`, input, output];
    const done = spawnSync('tificc', args, { encoding: 'utf8' });
    if (done.status !== 0) throw new Error(`tificc ${args.join(' ')}: ${done.stderr}`);
  }
  return (performance.now() - from) / 1000;
}
