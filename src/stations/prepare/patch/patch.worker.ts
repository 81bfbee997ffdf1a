import { expose, transfer } from 'comlink';
import { throughTable } from '@/core/colour';
import type { ColourTable } from '@/core/colour';
import type { Box, Shape } from '@/core/image';
import { PatchMaker, unpackPatch } from '@/core/prepare';
import type { PrintPlan, RecipeSteps } from '@/core/prepare';
import { ALIVE } from '@/shell/running/thread';

/** Where tiles of a patch lie, and what they are made of. */
export interface PatchPlace {
  /** Address of the samples of `part`. */
  url: string;
  part: Box;
  shape: Shape;
  plan: Pick<PrintPlan, 'image' | 'source'>;
  tiles: Box[];
}

/** Tiles of a patch, RGBA for the screen, and the milliseconds that they took. */
export interface MadeTiles {
  tiles: Uint8ClampedArray<ArrayBuffer>[];
  ms: number;
}

const tables = new Map<string, Promise<ColourTable>>();
let place: { tiles: Box[]; makers: PatchMaker[] } | null = null;

async function bytesOf(url: string): Promise<ArrayBuffer> {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error(`the picture was not answered (${answer.status})`);
  return answer.arrayBuffer();
}

async function tableAt(url: string): Promise<ColourTable> {
  const bytes = await bytesOf(url);
  const [channels = 3, points = 2] = new Uint32Array(bytes, 0, 2);
  return { channels: channels === 1 ? 1 : 3, points, values: new Float32Array(bytes, 8) };
}

const api = {
  /** Goes to another place. */
  async open({ url, part, shape, plan, tiles }: PatchPlace): Promise<void> {
    const { samples, door } = unpackPatch(await bytesOf(url));
    const source = { box: part, samples };
    const makers = tiles.map((tile) => new PatchMaker(source, shape, plan, tile, door));
    place = { tiles, makers };
  },

  /** Makes one of its tiles ready for the numbers of a step to move. */
  ready(recipe: RecipeSteps, step: number, tile: number): void {
    place?.makers[tile]?.ready(recipe, step);
  },

  /** Some of its tiles by a recipe. */
  async make(recipe: RecipeSteps, tableUrl: string, which: number[]): Promise<MadeTiles> {
    const found = tables.get(tableUrl) ?? tableAt(tableUrl);
    tables.set(tableUrl, found);
    found.catch(() => tables.delete(tableUrl));
    const table = await found;
    if (!place) throw new Error('no place was opened');
    const { tiles, makers } = place;
    const from = performance.now();
    const made = which.map((i) => {
      const { left, right, top, bottom } = tiles[i]!;
      const wide = (right - left) * 4;
      const rgba = new Uint8ClampedArray(wide * (bottom - top));
      let at = 0;
      makers[i]!.make(recipe, (row) => {
        throughTable(row, table, rgba.subarray(at, at + wide));
        at += wide;
      });
      return rgba;
    });
    const ms = performance.now() - from;
    return transfer(
      { tiles: made, ms },
      made.map((rgba) => rgba.buffer),
    );
  },
};

export type PatchApi = typeof api;

expose(api);
self.postMessage(ALIVE);
