import { mmOf } from '@/core/units';
import { PLAIN_WEEK, promisedDay } from '@/core/days';
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { readFile, rename, stat, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import sharp from 'sharp';
import { readMatrixProfile } from '@/core/colour';
import type { HandOverManifest, ManifestItem } from '@/core/prepare';

export type LabReason =
  | { code: 'missing' }
  | { code: 'checksum' }
  | { code: 'unreadable' }
  | { code: 'name'; found: string }
  | { code: 'pixels'; wanted: string; found: string }
  | { code: 'ppi'; wanted: number; found: number }
  | { code: 'profile'; wanted: string; found: string }
  | { code: 'bits'; wanted: number; found: number }
  | { code: 'size'; wanted: string; found: string };

export interface LabItem {
  file: string;
  accepted: boolean;
  reasons: LabReason[];
}

/** What a lab says of an errand. Days are YYYY-MM-DD. */
export interface LabAnswer {
  lab: string;
  items: LabItem[];
  takenOn: string;
  /** Null while nothing was accepted. */
  printedOn: string | null;
  sentOn: string | null;
  stage: 'refused' | 'accepted' | 'printed' | 'sent';
}

/** What a print lab's driver offers; the one below is simulated and ships with the application. */
export interface PrintLab {
  name: string;
  /** Looks into a folder that was handed over, and writes its answer beside the files. */
  take(folder: string, today: string): Promise<LabAnswer>;
}

/** The lab's own rules. */
const RULES = {
  /** Least ppi by the longer side, mm: up to the first length, the first figure. */
  ppi: [
    { upTo: 420, least: 250 },
    { upTo: 900, least: 200 },
    { upTo: Infinity, least: 150 },
  ],
  rollMm: 1118,
  bits: 8,
  workingDaysToPrint: 3,
  workingDaysToSend: 4,
};

const NAME = 'Tidewrack Print Rooms';

async function sha256(path: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(/*turbopackIgnore: true*/ path), hash);
  return hash.digest('hex');
}

/** An RGB working space by the colours of its profile, or any press. */
function profileFound(icc: Buffer | undefined, space: string): string {
  if (!icc) return 'none';
  if (space === 'cmyk') return 'CMYK';
  return readMatrixProfile(new Uint8Array(icc)) ? 'RGB' : 'a printer’s own RGB';
}

async function lookAt(folder: string, item: ManifestItem): Promise<LabReason[]> {
  const path = join(/*turbopackIgnore: true*/ folder, basename(item.file));
  const there = await stat(path).catch(() => null);
  if (!there) return [{ code: 'missing' }];
  if ((await sha256(path)) !== item.sha256) return [{ code: 'checksum' }];
  const meta = await sharp(path, { limitInputPixels: false })
    .metadata()
    .catch(() => null);
  if (!meta) return [{ code: 'unreadable' }];
  const reasons: LabReason[] = [];
  const size = /^\d+(\.\d+)?x\d+(\.\d+)?[a-z]*_|^[A-Z]\d_/.test(item.file);
  if (!size) reasons.push({ code: 'name', found: item.file });
  if (meta.width !== item.widthPx || meta.height !== item.heightPx)
    reasons.push({
      code: 'pixels',
      wanted: `${item.widthPx} × ${item.heightPx}`,
      found: `${meta.width} × ${meta.height}`,
    });
  const ppi = meta.density ?? 0;
  const long = Math.max(item.widthMm, item.heightMm);
  const { least } = RULES.ppi.find((r) => long <= r.upTo)!;
  if (ppi < least) reasons.push({ code: 'ppi', wanted: least, found: Math.round(ppi) });
  const printed = mmOf(meta.width, Math.max(1, ppi));
  if (Math.abs(printed - item.widthMm) > 1)
    reasons.push({
      code: 'size',
      wanted: `${Math.round(item.widthMm)} mm wide`,
      found: `${Math.round(printed)} mm wide at its ppi`,
    });
  if (Math.min(item.widthMm, item.heightMm) > RULES.rollMm)
    reasons.push({
      code: 'size',
      wanted: `shorter side up to ${RULES.rollMm} mm`,
      found: `${Math.round(Math.min(item.widthMm, item.heightMm))} mm`,
    });
  const profile = profileFound(meta.icc, meta.space);
  if (profile === 'none')
    reasons.push({ code: 'profile', wanted: 'an RGB or CMYK profile', found: profile });
  const bits = meta.depth === 'uchar' ? 8 : 16;
  if (bits !== RULES.bits) reasons.push({ code: 'bits', wanted: RULES.bits, found: bits });
  return reasons;
}

/** A simulated lab: it reads the files themselves, keeps to its rules, and says when it prints. */
export const TIDEWRACK: PrintLab = {
  name: NAME,
  async take(folder, today) {
    const manifest = JSON.parse(
      await readFile(join(/*turbopackIgnore: true*/ folder, 'manifest.json'), 'utf8'),
    ) as HandOverManifest;
    const items: LabItem[] = [];
    for (const item of manifest.items) {
      const reasons = await lookAt(folder, item);
      items.push({ file: item.file, accepted: reasons.length === 0, reasons });
    }
    const any = items.some((i) => i.accepted);
    const printedOn = any
      ? promisedDay(manifest.on, RULES.workingDaysToPrint, PLAIN_WEEK)
      : null;
    const sentOn = any
      ? promisedDay(manifest.on, RULES.workingDaysToSend, PLAIN_WEEK)
      : null;
    const answer: LabAnswer = {
      lab: NAME,
      items,
      takenOn: manifest.on,
      printedOn,
      sentOn,
      stage:
        sentOn === null || printedOn === null
          ? 'refused'
          : today >= sentOn
            ? 'sent'
            : today >= printedOn
              ? 'printed'
              : 'accepted',
    };
    const part = join(/*turbopackIgnore: true*/ folder, '.answer.json.part');
    await writeFile(part, `${JSON.stringify(answer, null, 2)}\n`);
    await rename(part, join(/*turbopackIgnore: true*/ folder, 'answer.json'));
    return answer;
  },
};
