import { lattice } from '@/core/colour';
import { intoEightBits, zoomLevels } from '@/core/image';
import type { RecipeStep } from '@/core/prepare';
import { gatherColours } from '@/core/proof';
import { gamutReach } from '../colour/gamutReach';
import type { MasterColour } from '../colour/masterColour';
import type { PrintTarget } from '../colour/printTarget';
import { asNative, colourName, masterEnd } from '../colour/masterColour';
import { labFrom, masterAxes, masterOnScreen, proofedOnScreen } from '../colour/proofChain';
import type { ProofShown, ProofWay } from '../colour/proofChain';
import { PixelSource } from '../decode/pixelSource';
import { Kept } from '../kept';
import { sharp } from '../sharpSetup';
import { labelledPng } from './labelledPng';
import { TILE } from './pyramid';
import { reducedPart } from './reducedPart';

/** What a tile shows: the picture as printed, the master itself, or how far it is out of reach. */
export type TileShows =
  | { kind: 'proof'; way: ProofWay; shown: ProofShown; steps?: readonly RecipeStep[] }
  | { kind: 'master'; screen: Uint8Array }
  | { kind: 'reach'; profile: PrintTarget };

export interface ProofTileWork {
  pixels: string;
  colour: MasterColour;
  /** Names `colour` and `shows`: the same tables serve for the next tile. */
  key: string;
  shows: TileShows;
  /** A profile that the tile carries, where a browser is to know which colours its numbers mean. */
  label?: Uint8Array | undefined;
  /** Halvings of the picture, and the place of the tile. */
  level: number;
  column: number;
  row: number;
}

/** Steps of CIEDE2000 in a tile of distances: a grey value of 20 is 2. */
export const REACH_STEPS = 10;

/** By what tiles of one kind are made: axes along which light is mixed, and values for colours. */
interface Tables {
  axes: Float32Array[] | undefined;
  outs: 1 | 3;
  valuesOf: (samples: Uint16Array) => Float32Array;
  close: () => void;
}

/** Tables that tiles were made by of late: of a picture on all papers at hand. Each has some megabytes. */
const kept = new Kept<Tables>(12, (tables) => tables.close());

/** Reduced parts that were read of late: the same for the next paper. Each has 1.5 megabytes at most. */
const parts = new Kept<Uint16Array>(12);

/** How far each pixel is out of reach; colours that are nearly alike are asked about once. */
async function reachTables(
  colour: MasterColour,
  channels: 1 | 3,
  profile: PrintTarget,
): Promise<Tables> {
  const axes = masterAxes(colour, channels);
  const { icc, native } = masterEnd(colour, channels);
  const [ruler, reach] = await Promise.all([labFrom(icc, native), gamutReach(profile)]);
  return {
    axes,
    outs: 1,
    valuesOf(samples) {
      const { colours, of } = gatherColours(samples, channels, axes);
      const far = reach.distance(ruler.lab(asNative(colours, channels, native)));
      return Float32Array.from(of, (at) => far[at]!);
    },
    close() {
      ruler.close();
      reach.close();
    },
  };
}

async function tablesFor(
  { colour, shows }: ProofTileWork,
  channels: 1 | 3,
): Promise<Tables> {
  if (shows.kind === 'reach') return reachTables(colour, channels, shows.profile);
  const axes = masterAxes(colour, channels);
  const way =
    shows.kind === 'master'
      ? await masterOnScreen(colour, channels, shows.screen)
      : await proofedOnScreen(colour, channels, shows.way, shows.shown, shows.steps);
  const { exact, outs } = way;
  const table = lattice({ channels, outs, exact, tolerance: 'rough', axes });
  return {
    axes,
    outs: 3,
    valuesOf(samples) {
      const pixels = samples.length / channels;
      const found = new Float32Array(pixels * outs);
      table.convert(samples, found, pixels);
      return found;
    },
    close: () => way.close(),
  };
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
    const make = () => tablesFor(work, channels);
    const { axes, outs, valuesOf } = await kept.of(work.key, make);
    const by = 2 ** (full - work.level);
    const place = `${work.pixels} ${work.level} ${work.column} ${work.row} ${colourName(work.colour)}`;
    const part = await parts.of(place, () =>
      Promise.resolve(reducedPart(source, by, box, axes)),
    );
    const found = valuesOf(part);
    const eight = new Uint8Array(found.length);
    if (outs === 1)
      for (let i = 0; i < eight.length; i += 1)
        eight[i] = Math.min(255, Math.round(found[i]! * REACH_STEPS));
    else intoEightBits(Uint16Array.from(found), 0, found.length, eight, 0);
    const png = await sharp(eight, { raw: { width, height, channels: outs } })
      .png({ compressionLevel: 1 })
      .toBuffer();
    return work.label ? labelledPng(png, work.label) : png;
  } finally {
    await source.close();
  }
}
