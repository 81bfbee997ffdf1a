import type { PixelRect, PrintFileFacts, PrintPlan } from '@/core/prepare';
import { readProfile } from './colourEngine';
import { openPicture } from './sharpSetup';

const LOOK = 600;

/** Lowest and highest sample in a part of the file, looked at no larger than `LOOK` pixels a side. */
async function rangeOf(path: string, part: PixelRect): Promise<[number, number]> {
  const picture = openPicture(path).extract(part).keepIccProfile();
  const small =
    part.width > LOOK || part.height > LOOK
      ? picture.resize(Math.min(LOOK, part.width), Math.min(LOOK, part.height), {
          fit: 'fill',
          kernel: 'nearest',
        })
      : picture;
  const raw = await small.raw().toBuffer();
  let low = 255;
  let high = 0;
  for (const v of raw) {
    if (v < low) low = v;
    if (v > high) high = v;
  }
  return [low, high];
}

/** Opens a written print file anew and reads from it what its order is held against. */
export async function reopenPrintFile({
  path,
  plan,
}: {
  path: string;
  plan: PrintPlan;
}): Promise<PrintFileFacts> {
  const meta = await openPicture(path).metadata();
  const { image } = plan;
  const below = image.top + image.height;
  const right = image.left + image.width;
  const edges: PixelRect[] = [
    { left: 0, top: 0, width: plan.width, height: image.top },
    { left: 0, top: below, width: plan.width, height: plan.height - below },
    { left: 0, top: image.top, width: image.left, height: image.height },
    { left: right, top: image.top, width: plan.width - right, height: image.height },
  ].filter((r) => r.width > 0 && r.height > 0);
  const found = await Promise.all(edges.map((edge) => rangeOf(path, edge)));
  const profile = meta.icc ? await readProfile(new Uint8Array(meta.icc)) : null;
  return {
    width: meta.width,
    height: meta.height,
    ppi: meta.density ?? null,
    iccDescription: profile?.description ?? null,
    bitsPerChannel: meta.depth === 'uchar' ? 8 : 16,
    channels: meta.channels,
    range: await rangeOf(path, image),
    borderMinimum: found.length === 0 ? null : Math.min(...found.map(([low]) => low)),
  };
}
