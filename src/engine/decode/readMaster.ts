import { open } from 'node:fs/promises';
import type { IccRemark, MasterFacts } from '@/core/image';
import { sniff } from '@/core/image';
import { readProfile } from '../colour/colourEngine';
import type { ProfileFacts } from '../colour/colourEngine';
import { FileRefusal } from '../fileRefusal';
import type { Metadata } from 'sharp';
import { openPicture } from '../sharpSetup';
import { separatePlanes } from '../tiff/separatePlanes';
import { HEAD_BYTES } from '../store/store';

export const MAX_MEGAPIXELS = Number(process.env.GLASSINE_MAX_MEGAPIXELS ?? 1000);
/** Rows are held by the band: longer ones would take too much. The most that a JPEG has, too. */
export const MAX_EDGE = 65_535;
/** An interlaced picture is held whole by its decoder: beyond this it is refused. */
const MAX_INTERLACED_MEGAPIXELS = 60;
export const MAX_BYTES = Number(process.env.GLASSINE_MAX_GIGABYTES ?? 16) * 1e9;

async function headOf(path: string): Promise<Uint8Array> {
  const file = await open(path, 'r');
  const buffer = Buffer.alloc(HEAD_BYTES);
  const { bytesRead } = await file.read(buffer, 0, buffer.length, 0);
  await file.close();
  return buffer.subarray(0, bytesRead);
}

/** The format of a picture by its first bytes. Throws FileRefusal where it is none that is read. */
export function formatOfHead(head: Uint8Array): MasterFacts['format'] {
  const kind = sniff(head);
  if (kind === 'empty') throw new FileRefusal({ code: 'empty' });
  if (kind === 'animatedPng') throw new FileRefusal({ code: 'animated', frames: 0 });
  if (kind === 'tiff' || kind === 'jpeg' || kind === 'png') return kind;
  throw new FileRefusal({ code: 'notAPicture', kind });
}

/** First line of a decoder's complaint, without paths, and without what it says of itself. */
export const decoderWords = (error: unknown): string =>
  (error instanceof Error ? error.message : String(error))
    .replace(/^Warning treated as error.*\n/, '')
    .split('\n')[0]!
    .replace(/(\/[\w.-]+)+/g, '')
    .slice(0, 160);

/** What is odd about an embedded profile, if anything is. */
function iccRemark(profile: ProfileFacts | null, grey: boolean): IccRemark | null {
  if (!profile) return 'unreadable';
  if (!['mntr', 'scnr', 'spac', 'prtr'].includes(profile.deviceClass)) return 'wrongClass';
  // The decoder hands out grey files with an RGB profile only as a mistake of whoever wrote them.
  if (profile.space !== (grey ? 'GRAY' : 'RGB')) return 'otherModel';
  return profile.deviceClass === 'prtr' ? 'output' : null;
}

/** What the picture library says of a file; of planes that it does not read, what they say themselves. */
async function metadataOf(path: string, format: MasterFacts['format']): Promise<Metadata> {
  const planes = format === 'tiff' ? await separatePlanes(path) : null;
  if (!planes)
    return openPicture(path)
      .metadata()
      .catch((error: unknown) => {
        throw new FileRefusal({ code: 'broken', detail: decoderWords(error) });
      });
  const { width, height, bits, orientation, ppi, icc } = planes;
  const turned = orientation > 4;
  return {
    space: bits === 16 ? 'rgb16' : 'srgb',
    depth: bits === 16 ? 'ushort' : 'uchar',
    hasAlpha: planes.planes === 4,
    orientation,
    autoOrient: turned ? { width: height, height: width } : { width, height },
    ...(ppi ? { density: ppi, resolutionUnit: 'inch' as const } : {}),
    ...(icc ? { icc: Buffer.from(icc) } : {}),
  } as Metadata;
}

/** Reads the facts of a picture file without decoding it. Throws FileRefusal. */
export async function readMaster(
  path: string,
  bytes: number,
): Promise<{ facts: MasterFacts; icc: Uint8Array | null }> {
  const format = formatOfHead(await headOf(path));
  const meta = await metadataOf(path, format);
  if ((meta.pages ?? 1) > 1)
    throw new FileRefusal({ code: 'animated', frames: meta.pages ?? 0 });
  const space = String(meta.space);
  if (space === 'cmyk') throw new FileRefusal({ code: 'cmyk' });
  const grey = space === 'b-w' || space === 'grey16';
  if (!grey && !['srgb', 'rgb', 'rgb16'].includes(space))
    throw new FileRefusal({ code: 'otherModel', model: space });
  const upright = meta.autoOrient;
  const megapixels = (upright.width * upright.height) / 1e6;
  if (megapixels > MAX_MEGAPIXELS)
    throw new FileRefusal({ code: 'tooManyPixels', megapixels, limit: MAX_MEGAPIXELS });
  const edge = Math.max(upright.width, upright.height);
  if (edge > MAX_EDGE) throw new FileRefusal({ code: 'tooLong', edge, limit: MAX_EDGE });
  if (meta.isProgressive && megapixels > MAX_INTERLACED_MEGAPIXELS)
    throw new FileRefusal({
      code: 'interlaced',
      megapixels,
      limit: MAX_INTERLACED_MEGAPIXELS,
    });
  const icc = meta.icc ? new Uint8Array(meta.icc) : null;
  const profile = icc ? await readProfile(icc) : null;
  const remark = icc ? iccRemark(profile, grey) : null;
  const fits = profile !== null && (remark === null || remark === 'output');
  return {
    icc: fits ? icc : null,
    facts: {
      format,
      width: upright.width,
      height: upright.height,
      bitsPerChannel: meta.depth === 'uchar' ? 8 : 16,
      channels: (grey ? 1 : 3) + (meta.hasAlpha ? 1 : 0),
      colourModel: grey ? 'grey' : 'rgb',
      ppiTag:
        meta.density && meta.resolutionUnit
          ? meta.density
          : format === 'tiff'
            ? null
            : (meta.density ?? null),
      iccDescription: fits ? profile.description || 'without a name' : null,
      iccRemark: remark,
      orientation: meta.orientation ?? 1,
      bytes,
    },
  };
}
