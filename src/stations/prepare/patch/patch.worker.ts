import { expose, transfer } from 'comlink';
import { throughTable } from '@/core/colour';
import type { ColourTable } from '@/core/colour';
import type { Box, Shape } from '@/core/image';
import { PatchMaker } from '@/core/prepare';
import type { PrintPlan, Recipe } from '@/core/prepare';

/** Where a patch lies, and what it is made of. */
export interface PatchPlace {
  /** Address of the samples of `part`. */
  url: string;
  part: Box;
  shape: Shape;
  plan: Pick<PrintPlan, 'image' | 'source'>;
  patch: Box;
}

const tables = new Map<string, Promise<ColourTable>>();
let maker: PatchMaker | null = null;

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
  async open({ url, part, shape, plan, patch }: PatchPlace): Promise<void> {
    const samples = new Uint16Array(await bytesOf(url));
    maker = new PatchMaker({ box: part, samples }, shape, plan, patch);
  },

  /** The patch by a recipe, RGBA for the screen, and the milliseconds that it took. */
  async make(
    recipe: Pick<Recipe, 'steps'>,
    tableUrl: string,
  ): Promise<{ rgba: Uint8ClampedArray<ArrayBuffer>; ms: number }> {
    const found = tables.get(tableUrl) ?? tableAt(tableUrl);
    tables.set(tableUrl, found);
    found.catch(() => tables.delete(tableUrl));
    const table = await found;
    if (!maker) throw new Error('no place was opened');
    const from = performance.now();
    const rows = maker.make(recipe);
    const rgba = new Uint8ClampedArray((rows.length / table.channels) * 4);
    throughTable(rows, table, rgba);
    return transfer({ rgba, ms: performance.now() - from }, [rgba.buffer]);
  },
};

export type PatchApi = typeof api;

expose(api);
