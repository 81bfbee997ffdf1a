import { estimateDetail, periodsOf } from '../detail';
import type { DetailReading, TileSpectrum } from '../detail';
import { readGeometry } from '../geometry';
import type { Geometry } from '../geometry';
import { findSpecks, unpackThings } from '../specks';
import type { SpeckReading } from '../specks';
import { joinNoise, joinTones, readNoise, readTone } from '../tone';
import type { NoiseReading, ToneReading } from '../tone';
import { gridsOf } from './blockReader';
import type { ReadingPart } from './blockReader';
import { bestTiles, tileSide } from './textureTiles';
import type { TexturedTile } from './textureTiles';

/** All that is read from a master's pixels. Plain data, kept with the file's hash. */
export interface MasterReading {
  width: number;
  height: number;
  detail: DetailReading;
  specks: SpeckReading;
  tone: ToneReading;
  noise: NoiseReading;
  geometry: Geometry;
  /** Whether more than 8 bits a channel are in use. */
  deep: boolean;
}

/** The parts of a picture put together, and the tiles whose spectrum is still to be taken. */
export interface JoinedParts {
  width: number;
  height: number;
  part: ReadingPart;
  tiles: { side: number; best: TexturedTile[] } | null;
}

function concat<T extends Float32Array | Float64Array | Uint8Array>(
  make: (length: number) => T,
  arrays: readonly T[],
): T {
  const out = make(arrays.reduce((n, a) => n + a.length, 0));
  let at = 0;
  for (const a of arrays) {
    out.set(a, at);
    at += a.length;
  }
  return out;
}

const floats = (n: number) => new Float32Array(n);
const doubles = (n: number) => new Float64Array(n);
const bytes = (n: number) => new Uint8Array(n);

/** Joins parts that follow each other from the top. */
export function joinParts(
  parts: readonly ReadingPart[],
  width: number,
  height: number,
): JoinedParts {
  const of = <K extends keyof ReadingPart>(key: K) => parts.map((p) => p[key]);
  const along = doubles(width);
  for (const p of parts) for (let x = 0; x < width; x += 1) along[x]! += p.along[x]!;
  const part: ReadingPart = {
    tone: of('tone').reduce(joinTones),
    noise: of('noise').reduce(joinNoise),
    things: concat(floats, of('things')),
    clutter: concat(floats, of('clutter')),
    texture: concat(floats, of('texture')),
    crowded: concat(bytes, of('crowded')),
    along,
    down: concat(doubles, of('down')),
    reduced: concat(floats, of('reduced')),
    extremes: concat(bytes, of('extremes')),
    deep: parts.some((p) => p.deep),
  };
  const side = tileSide(width, height);
  return {
    width,
    height,
    part,
    tiles: side ? { side, best: bestTiles(part.texture, width, height, side) } : null,
  };
}

/** The whole reading. `spectra`: of the best tiles, in their order. */
export function readingOf(
  { width, height, part, tiles }: JoinedParts,
  spectra: readonly TileSpectrum[],
): MasterReading {
  const { reducedBy, reducedAcross, cellsAcross } = gridsOf(width, height);
  const noise = readNoise(part.noise);
  const cells = { texture: part.texture, crowded: part.crowded, across: cellsAcross };
  const reduced = {
    width: reducedAcross,
    height: part.reduced.length / reducedAcross,
    data: part.reduced,
    factor: reducedBy,
  };
  return {
    width,
    height,
    detail: estimateDetail({
      spectra,
      textures: (tiles?.best ?? []).map((t) => t.texture),
      across: periodsOf(part.along),
      down: periodsOf(part.down),
      noise: noise.bands,
    }),
    specks: findSpecks(unpackThings(part.things), part.clutter, cells, width, height),
    tone: readTone(part.tone),
    noise,
    geometry: readGeometry(reduced, width, height),
    deep: part.deep,
  };
}
