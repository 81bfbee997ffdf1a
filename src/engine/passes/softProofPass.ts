import { proofedChannels, proofedInMaster, throughLattice } from '../colour/proofChain';
import type { ProofWay } from '../colour/proofChain';
import type { MasterColour } from '../colour/masterColour';
import { masterEnd } from '../colour/masterColour';
import { PixelSource } from '../decode/pixelSource';
import type { Progress } from '../progress';
import type { RowRange } from '../rowRange';
import { TiffRows } from '../tiff/tiffWriter';
import type { TiffLayout } from '../tiff/tiffWriter';

const BAND = 32;

/** A picture that is proofed whole: 16 bit, in the master's own space. */
export interface SoftProofWork {
  pixels: string;
  width: number;
  height: number;
  channels: 1 | 3;
  ppi: number;
  colour: MasterColour;
  way: ProofWay;
  target: string;
}

export const proofLayout = (work: SoftProofWork): TiffLayout => ({
  width: work.width,
  height: work.height,
  channels: proofedChannels(work.colour, work.channels),
  bits: 16,
  ppi: work.ppi,
  icc: masterEnd(work.colour, work.channels).icc,
});

/** Fills rows of a laid out TIFF with the proofed picture; memory: some rows, and the grid. */
export async function softProofRows(
  { work, range }: { work: SoftProofWork; range: RowRange },
  progress: Progress,
): Promise<void> {
  const source = await PixelSource.open(work.pixels);
  const way = await proofedInMaster(work.colour, source.channels, work.way);
  const table = throughLattice(work.colour, source.channels, way);
  const file = await TiffRows.open(work.target, proofLayout(work), range.from, range.to);
  try {
    const line = source.width * way.outs;
    const found = new Float32Array(BAND * line);
    const deep = new Uint16Array(BAND * line);
    for (let top = range.from; top < range.to; top += BAND) {
      const rows = Math.min(BAND, range.to - top);
      table.convert(await source.rows(top, rows), found, rows * source.width);
      for (let i = 0; i < rows * line; i += 1) deep[i] = found[i]! + 0.5;
      await file.write(deep.subarray(0, rows * line));
      progress('proofing', (top + rows - range.from) / (range.to - range.from));
    }
    await file.finish();
  } catch (error) {
    await file.abandon().catch(() => undefined);
    throw error;
  } finally {
    way.close();
    await source.close();
  }
}
