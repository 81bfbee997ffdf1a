import { lattice } from '@/core/colour';
import type { Lattice } from '@/core/colour';
import { intoEightBits, zoomLevels } from '@/core/image';
import { gamutReach } from '../colour/gamutReach';
import type { MasterColour } from '../colour/masterColour';
import type { PrintTarget } from '../colour/printTarget';
import {
  labFrom,
  masterAxes,
  masterEnd,
  masterOnScreen,
  proofedOnScreen,
  throughLattice,
} from '../colour/proofChain';
import type { ProofShown, ProofWay } from '../colour/proofChain';
import { PixelSource } from '../decode/pixelSource';
import { sharp } from '../sharpSetup';
import { TILE } from './pyramid';
import { reducedPart } from './reducedPart';

/** What a tile shows: the picture as printed, the master itself, or how far it is out of reach. */
export type TileShows =
  | { kind: 'proof'; way: ProofWay; shown: ProofShown }
  | { kind: 'master'; screen: Uint8Array }
  | { kind: 'reach'; profile: PrintTarget };

export interface ProofTileWork {
  pixels: string;
  colour: MasterColour;
  /** Names `colour` and `shows`: the same tables serve for the next tile. */
  key: string;
  shows: TileShows;
  /** Halvings of the picture, and the place of the tile. */
  level: number;
  column: number;
  row: number;
}

/** Steps of CIEDE2000 in a tile of distances: a grey value of 20 is 2. */
export const REACH_STEPS = 10;
/** How far a distance that is looked up may miss before it is looked for more finely; never. */
const NEVER = Infinity;

/** Tables of ways that tiles were made by of late; each has some megabytes. */
const kept = new Map<string, Promise<Tables>>();
const MOST_KEPT = 4;

/** By what tiles of one kind are made: axes along which light is mixed, and the table of colours. */
interface Tables {
  axes: Float32Array[] | undefined;
  table: Lattice;
}

async function reachLattice(
  colour: MasterColour,
  channels: 1 | 3,
  profile: PrintTarget,
  axes: Float32Array[] | undefined,
): Promise<Lattice> {
  const { icc, native } = masterEnd(colour, channels);
  const [ruler, reach] = await Promise.all([labFrom(icc, native), gamutReach(profile)]);
  const exact = (samples: Uint16Array) =>
    reach.distance(
      ruler.lab(
        native === channels
          ? samples
          : Uint16Array.from(
              { length: samples.length * 3 },
              (_, i) => samples[(i / 3) | 0]!,
            ),
      ),
    );
  return lattice({
    channels,
    outs: 1,
    exact,
    tolerance: NEVER,
    axes,
  });
}

async function tablesFor(
  { colour, shows }: ProofTileWork,
  channels: 1 | 3,
): Promise<Tables> {
  const axes = masterAxes(colour, channels);
  if (shows.kind === 'reach') {
    const table = await reachLattice(colour, channels, shows.profile, axes);
    return { axes, table };
  }
  const way =
    shows.kind === 'master'
      ? await masterOnScreen(colour, channels, shows.screen)
      : await proofedOnScreen(colour, channels, shows.way, shows.shown);
  return { axes, table: throughLattice(colour, channels, way) };
}

function keptTables(work: ProofTileWork, channels: 1 | 3): Promise<Tables> {
  const found = kept.get(work.key) ?? tablesFor(work, channels);
  kept.delete(work.key);
  kept.set(work.key, found);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  found.catch(() => kept.delete(work.key));
  return found;
}

/**
 * A tile of a picture for the screen, PNG: in the screen's colours, 8 bit, from the master's own
 * pixels, which are 16 bit until the last step; or grey, how far its colours are out of reach in
 * tenths of CIEDE2000. Null where there is no such tile.
 */
export async function proofTile(work: ProofTileWork): Promise<Uint8Array | null> {
  const source = await PixelSource.open(work.pixels);
  try {
    const { channels } = source;
    const level = zoomLevels(source.width, source.height, TILE).find(
      (l) => l.level === work.level,
    );
    if (!level || work.column >= level.columns || work.row >= level.rows) return null;
    const [left, top] = [work.column * TILE, work.row * TILE];
    const box = {
      left,
      top,
      right: Math.min(level.width, left + TILE),
      bottom: Math.min(level.height, top + TILE),
    };
    const [width, height] = [box.right - left, box.bottom - top];
    const full = zoomLevels(source.width, source.height, TILE)[0]!.level;
    const { axes, table } = await keptTables(work, channels);
    const samples = reducedPart(source, 2 ** (full - work.level), box, axes);
    const outs = work.shows.kind === 'reach' ? 1 : 3;
    const found = new Float32Array(width * height * outs);
    table.convert(samples, found, width * height);
    const eight = new Uint8Array(found.length);
    if (outs === 1)
      for (let i = 0; i < eight.length; i += 1)
        eight[i] = Math.min(255, Math.round(found[i]! * REACH_STEPS));
    else intoEightBits(Uint16Array.from(found), 0, found.length, eight, 0);
    return await sharp(eight, { raw: { width, height, channels: outs } })
      .png({ compressionLevel: 1 })
      .toBuffer();
  } finally {
    await source.close();
  }
}
