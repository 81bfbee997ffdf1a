import { basename } from 'node:path';
import { readPicture } from '@/core/capture/reading';
import { SHOWN_FROM } from '@/core/capture/specks';
import type { BusyTile, Speck } from '@/core/capture/specks';
import { middleOf } from './enlarge';
import type { Samples } from '../demo/capture/dust';
import { picturesIn, share } from './folder';
import { PAINTED, paintedPicture } from './painted';
import { plantSpecks } from '../demo/capture/dust';
import type { Planted } from '../demo/capture/dust';

const SIDE = 1536;
const IN_PHOTOGRAPHS = 45;
const IN_PAINTINGS = 25;
/** Spread of the light around a speck, of 255, up to which its ground is called smooth. */
const SMOOTH = 2;

interface Tried {
  planted: (Planted & { found: boolean; busy: boolean })[];
  shown: { right: boolean; busy: boolean }[];
}

const within = (tiles: BusyTile[], { x, y }: { x: number; y: number }): boolean =>
  tiles.some(
    (t) => x >= t.left && y >= t.top && x < t.left + t.width && y < t.top + t.height,
  );

/** Plants specks over a picture, sweeps it, and holds what was found against what was planted. */
function tryPicture(picture: Samples, count: number, seed: number): Tried {
  const planted = plantSpecks(picture, count, seed);
  const { found, busy } = readPicture({ ...picture, channels: 3 }).specks;
  const shown = found.filter((s) => s.confidence >= SHOWN_FROM);
  const same = (p: Planted, s: Speck) =>
    Math.hypot(p.x - s.x, p.y - s.y) < Math.max(4, p.diameter / 2 + 2);
  return {
    planted: planted.map((p) => ({
      ...p,
      found: shown.some((s) => same(p, s)),
      busy: within(busy, p),
    })),
    shown: shown.map((s) => ({
      right: planted.some((p) => same(p, s)),
      busy: within(busy, s),
    })),
  };
}

function tell(name: string, tried: Tried[]): void {
  const planted = tried.flatMap((t) => t.planted);
  const shown = tried.flatMap((t) => t.shown);
  const smooth = planted.filter((p) => p.ground < SMOOTH);
  const per = (v: number) => v.toFixed(2);
  console.log(
    `${name.padEnd(24)} smooth ground: recall ${per(share(smooth.map((p) => p.found)))} of ${smooth.length}   ` +
      `all it speaks of: precision ${per(share(shown.map((s) => s.right)))} of ${shown.length}   ` +
      `in tiles left to the eye: ${per(share(planted.map((p) => p.busy)))}`,
  );
}

/** `npm run bench -- specks FOLDER`: planted specks in photographs of a folder and in made-up paintings. */
export async function measureSpecks(folder: string | undefined): Promise<void> {
  console.log('\nPlanted specks of 3 to 20 px');
  const all: Tried[] = [];
  for (const [i, path] of (folder ? picturesIn(folder) : []).entries()) {
    const picture = await middleOf(path, SIDE);
    if (Math.min(picture.width, picture.height) < 400) continue;
    const tried = tryPicture(picture, IN_PHOTOGRAPHS, i + 1001);
    tell(basename(path).slice(0, 22), [tried]);
    all.push(tried);
  }
  if (all.length > 0) tell('all of the folder', all);
  for (const kind of PAINTED)
    tell(
      `made-up ${kind}`,
      [11, 12, 13].map((n) => tryPicture(paintedPicture(kind, n), IN_PAINTINGS, n)),
    );
}
