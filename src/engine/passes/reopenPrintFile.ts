import { wordsOfXml } from '@/core/text';
import { whiteParts } from '@/core/prepare';
import type { PixelRect, PrintFileFacts, PrintPlan } from '@/core/prepare';
import { readProfile } from '../colour/colourEngine';
import { openPicture } from '../sharpSetup';
import { thumbnailDifference } from './thumbnail';
import type { Looked } from './looked';
import type { ExpectedPicture } from './thumbnail';

const LOOK = 600;

type Meta = Awaited<ReturnType<ReturnType<typeof openPicture>['metadata']>>;

async function lookedAt(path: string, part: PixelRect, meta: Meta): Promise<Looked> {
  const deep = meta.depth !== 'uchar';
  const space = meta.space === 'cmyk' ? 'cmyk' : deep ? 'rgb16' : 'srgb';
  const opened = openPicture(path).pipelineColourspace(space).extract(part);
  const small =
    part.width > LOOK || part.height > LOOK
      ? opened.resize(Math.min(LOOK, part.width), Math.min(LOOK, part.height), {
          fit: 'fill',
          kernel: 'nearest',
        })
      : opened;
  const { data, info } = await small
    .toColourspace(space)
    .keepIccProfile()
    .raw({ depth: deep ? 'ushort' : 'uchar' })
    .toBuffer({ resolveWithObject: true });
  const samples = deep
    ? new Uint16Array(data.buffer, data.byteOffset, data.length / 2)
    : new Uint8Array(data.buffer, data.byteOffset, data.length);
  const { width, height, channels } = info;
  return { data: samples, width, height, channels, whole: deep ? 65535 : 255 };
}

/** Lowest and highest sample, of 255. */
function rangeOf({ data, whole }: Looked): [number, number] {
  let low = whole;
  let high = 0;
  for (const v of data) {
    if (v < low) low = v;
    if (v > high) high = v;
  }
  const of255 = (v: number) => Math.round((v * 255) / whole);
  return [of255(low), of255(high)];
}

const titleOf = (xmp: Buffer | undefined): string | null => {
  const found =
    xmp && /<dc:title>.*?<rdf:li[^>]*>(.*?)<\/rdf:li>/s.exec(xmp.toString('utf8'));
  return found ? wordsOfXml(found[1]!) : null;
};

/**
 * Opens a written file anew, by another reader than wrote it, and reads from it what its
 * order is held against. `expected`: what its picture was made from.
 */
export async function reopenPrintFile({
  path,
  plan,
  expected,
}: {
  path: string;
  plan: PrintPlan;
  expected?: ExpectedPicture;
}): Promise<PrintFileFacts> {
  const meta = await openPicture(path).metadata();
  const cmyk = meta.space === 'cmyk';
  const edges = await Promise.all(
    whiteParts(plan).map((edge) => lookedAt(path, edge, meta)),
  );
  const ink = edges.map((edge) => {
    const [low, high] = rangeOf(edge);
    return cmyk ? high : 255 - low;
  });
  const picture = await lookedAt(path, plan.image, meta);
  const profile = meta.icc ? await readProfile(new Uint8Array(meta.icc)) : null;
  return {
    width: meta.width,
    height: meta.height,
    ppi: meta.density ?? null,
    iccDescription: profile?.description ?? null,
    bitsPerChannel: meta.depth === 'uchar' ? 8 : 16,
    channels: meta.channels,
    format: meta.format,
    range: rangeOf(picture),
    borderInk: ink.length === 0 ? null : Math.max(...ink),
    thumbnail: expected ? await thumbnailDifference(picture, plan, expected) : null,
    title: titleOf(meta.xmp),
  };
}
