import { writeSync } from 'node:fs';
import { open } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';
import { createDeflate } from 'node:zlib';
import { eightBits, intoEightBits } from '@/core/image';
import type { PixelRect, PrintPlan, Recipe } from '@/core/prepare';
import type { MasterColour } from '../colour/masterColour';
import { drawnWords } from './drawnWords';
import type { SheetWords } from './drawnWords';
import { pictureRows } from './printFilePass';
import type { PrintTarget } from '../colour/printTarget';
import type { Progress } from '../progress';
import { layOutTiff, rowBytesOf } from '../tiff/tiffWriter';
import type { FileAbout, TiffLayout } from '../tiff/tiffWriter';

/** A piece of a print on a sheet: pixels of the print's picture, put somewhere. */
export interface SheetPart {
  plan: PrintPlan;
  recipe: Recipe;
  region: PixelRect;
  place: { left: number; top: number };
  /** Made of the reduced copy of the picture: small, and many of it. */
  small?: boolean;
  /** Made of the patches of the control strip. */
  strip?: boolean;
}

/** A sheet with pieces of prints, words and black rectangles on white. */
export interface SheetWork {
  pixels: string;
  colour: MasterColour;
  into: PrintTarget;
  width: number;
  height: number;
  ppi: number;
  bits: 8 | 16;
  parts: SheetPart[];
  words: SheetWords[];
  black: PixelRect[];
  about: FileAbout;
  target: string;
  /** Working copy that small parts are made of, and how its numbers are meant. */
  reduced?: { pixels: string; colour: MasterColour };
  /** Working copy of the patches of a control strip. */
  strip?: { pixels: string; colour: MasterColour };
}

const FIRST_ROW_AT = 8;
const WHITE_ROWS = 256;

const layoutOf = ({ width, height, into, bits, ppi, about }: SheetWork): TiffLayout => ({
  width,
  height,
  channels: into.channels,
  bits,
  ppi,
  icc: into.icc,
  about,
});

/** Writes samples anywhere into a laid out TIFF. */
class SheetSurface {
  private readonly row: number;
  private readonly channels: number;

  constructor(
    private readonly file: FileHandle,
    private readonly layout: TiffLayout,
  ) {
    this.row = rowBytesOf(layout);
    this.channels = layout.channels;
  }

  /** As many samples of paper white. */
  white(pixels: number): Uint8Array | Uint16Array {
    const { bits } = this.layout;
    const samples = pixels * this.channels;
    const out = bits === 8 ? new Uint8Array(samples) : new Uint16Array(samples);
    return this.channels === 4 ? out : out.fill(bits === 8 ? 255 : 65535);
  }

  put(left: number, top: number, samples: Uint8Array | Uint16Array): void {
    const { bits } = this.layout;
    const bytes = Buffer.from(samples.buffer, samples.byteOffset, samples.byteLength);
    const at = FIRST_ROW_AT + top * this.row + left * this.channels * (bits / 8);
    for (let done = 0; done < bytes.length;)
      done += writeSync(this.file.fd, bytes, done, bytes.length - done, at + done);
  }

  /** So much ink, 0..1, on a row of paper. */
  ink(left: number, top: number, amounts: ArrayLike<number>): void {
    const line = this.white(amounts.length);
    const whole = this.layout.bits === 8 ? 255 : 65535;
    for (let x = 0; x < amounts.length; x += 1) {
      const ink = Math.round(amounts[x]! * whole);
      if (this.channels === 4) line[x * 4 + 3] = ink;
      else line.fill(whole - ink, x * this.channels, (x + 1) * this.channels);
    }
    this.put(left, top, line);
  }
}

/**
 * Writes a sheet as an uncompressed TIFF. Its pieces are made by the very steps of the print
 * file, each only as large as it is seen: pixel for pixel what that file has there.
 */
export async function writeSheet(work: SheetWork, progress: Progress): Promise<void> {
  const { width, height, parts, words, black, into, ppi, bits, target } = work;
  const layout = layoutOf(work);
  await layOutTiff(target, layout);
  const file = await open(target, 'r+');
  try {
    const surface = new SheetSurface(file, layout);
    for (let top = 0; top < height; top += WHITE_ROWS)
      surface.put(0, top, surface.white(width * Math.min(WHITE_ROWS, height - top)));
    for (const [i, { plan, recipe, region, place, small, strip }] of parts.entries()) {
      const { left, top } = region;
      const box = { left, top, right: left + region.width, bottom: top + region.height };
      const line = region.width * into.channels;
      const eight = new Uint8Array(line);
      let y = place.top;
      const { pixels, colour } =
        (strip ? work.strip : small ? work.reduced : undefined) ?? work;
      await pictureRows({ pixels, colour, plan, recipe, into }, box, (deep, rows, from) => {
        for (let row = 0; row < rows; row += 1, y += 1) {
          if (bits === 16)
            surface.put(place.left, y, deep.subarray(row * line, (row + 1) * line));
          else {
            const onPrint = { left, top: from + row, channels: into.channels };
            eightBits(recipe.file.dither, deep, row * line, line, eight, 0, onPrint);
            surface.put(place.left, y, eight);
          }
        }
        return Promise.resolve();
      });
      progress('making the pieces', (i + 1) / (parts.length + 1));
    }
    for (const { left, top, width: w, height: h } of black)
      for (let y = 0; y < h; y += 1)
        surface.ink(left, top + y, new Float32Array(w).fill(1));
    for (const said of words) {
      const { rows } = await drawnWords(said, ppi);
      rows.forEach((row, y) => {
        if (said.top + y < height) surface.ink(said.left, said.top + y, row);
      });
    }
    await file.sync();
  } finally {
    await file.close();
  }
  progress('making the pieces', 1);
}

/**
 * The samples of an uncompressed TIFF of ours as a document holds them: 8 bits, deflated.
 * Memory: what comes out.
 */
export async function deflatedSamples({
  path,
  width,
  height,
  channels,
  bits,
}: {
  path: string;
  width: number;
  height: number;
  channels: number;
  bits: 8 | 16;
}): Promise<Uint8Array> {
  const file = await open(path, 'r');
  const deflate = createDeflate({ level: 6 });
  const chunks: Buffer[] = [];
  deflate.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve, reject) => {
    deflate.on('end', resolve).on('error', reject);
  });
  const samples = width * channels;
  try {
    for (let top = 0; top < height; top += WHITE_ROWS) {
      const rows = Math.min(WHITE_ROWS, height - top);
      const raw = Buffer.alloc((rows * samples * bits) / 8);
      await file.read(raw, 0, raw.length, FIRST_ROW_AT + (top * samples * bits) / 8);
      let eight = raw;
      if (bits === 16) {
        const deep = new Uint16Array(raw.buffer, raw.byteOffset, raw.length / 2);
        eight = Buffer.alloc(deep.length);
        intoEightBits(deep, 0, deep.length, eight, 0);
      }
      if (!deflate.write(eight)) await new Promise((r) => deflate.once('drain', r));
    }
    deflate.end();
    await ended;
  } finally {
    await file.close();
  }
  return new Uint8Array(Buffer.concat(chunks));
}
