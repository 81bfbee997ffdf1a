import type { FileWish } from '@/core/prepare';
import { houseFont } from '../fonts';
import { xmlText } from '@/core/text';
import { openPicture, sharp } from '../sharpSetup';
import { xmpOf } from '../tiff/tiffFields';
import type { FileAbout } from '../tiff/tiffFields';

/** An uncompressed TIFF that becomes a PNG or a JPEG. */
export interface EncodeWork {
  path: string;
  target: string;
  wish: Pick<FileWish, 'bits' | 'format' | 'quality'>;
  ppi: number;
  about: FileAbout;
  /** Words laid over the picture; none when empty. */
  watermark?: string | undefined;
}

/** Height of the watermark's letters as a share of the shorter side, and how much covers. */
const LETTERS = 0.035;
const COVERS = 0.55;

/** The words as a picture, as high as a share of the shorter side of what they are laid over. */
async function drawn(words: string, colour: 'white' | 'black', shorter: number) {
  const text = {
    text: `<span foreground="${colour}">${xmlText(words)}</span>`,
    ...houseFont(12),
    rgba: true,
    dpi: Math.max(20, Math.round((shorter * LETTERS * 72) / 12)),
  };
  const { data, info } = await sharp({ text }).raw().toBuffer({ resolveWithObject: true });
  for (let i = 3; i < data.length; i += 4) data[i] = Math.round(data[i]! * COVERS);
  const pad = Math.round(shorter * LETTERS);
  return sharp(data, { raw: { width: info.width, height: info.height, channels: 4 } })
    .extend({ top: 4, left: 4, right: pad, bottom: pad, background: '#0000' })
    .png()
    .toBuffer();
}

/** The words in white over a soft dark rim, so that they are seen on any ground. */
async function watermarkOf(words: string, shorter: number) {
  const [light, dark] = await Promise.all([
    drawn(words, 'white', shorter),
    drawn(words, 'black', shorter),
  ]);
  const rim = await sharp(dark)
    .blur(1.5)
    .linear([1, 1, 1, 2], [0, 0, 0, 0])
    .png()
    .toBuffer();
  return [rim, light].map((input) => ({ input, gravity: 'southeast' as const }));
}

/** Writes a PNG or JPEG out of an uncompressed TIFF, values untouched, its profile with it. */
export async function encodePass({
  path,
  target,
  wish,
  ppi,
  about,
  watermark,
}: EncodeWork): Promise<void> {
  const deep = wish.bits === 16 && wish.format === 'png';
  const space = deep ? 'rgb16' : 'srgb';
  let picture = openPicture(path).pipelineColourspace(space);
  if (watermark) {
    const { width, height } = await openPicture(path).metadata();
    picture = picture.composite(await watermarkOf(watermark, Math.min(width, height)));
  }
  picture = picture
    .toColourspace(space)
    .keepIccProfile()
    .withDensity(ppi)
    .withXmp(xmpOf(about));
  await (
    wish.format === 'png'
      ? picture.png({ compressionLevel: 6 })
      : picture.jpeg({ quality: wish.quality, chromaSubsampling: '4:4:4' })
  ).toFile(target);
}
