import { keptCharacters } from '../text';
import { asciiAt, readWhole, tagsOf } from './profileTags';

/** Largest profile that is taken, bytes: a printer's has some hundred kilobytes to a few megabytes. */
export const MOST_PROFILE_BYTES = 16e6;
const LEAST_BYTES = 132;

/** What a profile is of (ICC.1:2010, 7.2.5). */
export const PROFILE_CLASSES = {
  prtr: 'output',
  mntr: 'display',
  spac: 'space',
  scnr: 'input',
  link: 'link',
  abst: 'abstract',
  nmcl: 'named',
} as const;
export type ProfileClass = (typeof PROFILE_CLASSES)[keyof typeof PROFILE_CLASSES];

export const TABLE_INTENTS = ['perceptual', 'relative', 'saturation'] as const;
export type TableIntent = (typeof TABLE_INTENTS)[number];

/** What a profile says of itself, read from its bytes. */
export interface ProfileSelf {
  class: ProfileClass;
  /** Device colours: `RGB`, `CMYK`, `GRAY`, ... */
  space: string;
  /** Connection space: `Lab` or `XYZ`. */
  pcs: string;
  /** Major and minor version, such as 2.4. */
  version: string;
  major: number;
  /** Intents for which it holds tables to print by; empty for those of curves and a matrix. */
  tables: TableIntent[];
  description: string;
  copyright: string;
  /** The day it says it was made, YYYY-MM-DD; null where it says none that can be. */
  made: string | null;
  bytes: number;
}

/** Why bytes are not taken as the profile of something that prints or shows. */
export type ProfileFault =
  | { code: 'tooLarge'; bytes: number; most: number }
  | { code: 'noProfile' }
  | { code: 'truncated'; bytes: number; says: number }
  | { code: 'damaged' }
  | { code: 'class'; class: ProfileClass | null }
  | { code: 'space'; space: string };

/** Text of a description or copyright tag: plain, of version 2, or of many languages. */
function wordsAt(icc: Uint8Array, view: DataView, at: number | undefined): string {
  if (at === undefined) return '';
  const kind = asciiAt(icc, at);
  let words = '';
  if (kind === 'desc') words = latin(icc, at + 12, Math.min(view.getUint32(at + 8), 1000));
  else if (kind === 'text') words = latin(icc, at + 8, 1000);
  else if (kind === 'mluc' && view.getUint32(at + 8) > 0) {
    const length = Math.min(view.getUint32(at + 20), 2000);
    const from = at + view.getUint32(at + 24);
    for (let i = 0; i + 1 < length; i += 2)
      words += String.fromCharCode(view.getUint16(from + i));
  }
  return keptCharacters(words.split('\0', 1)[0]!).trim().slice(0, 200);
}

const latin = (icc: Uint8Array, at: number, length: number): string =>
  Array.from(icc.subarray(at, at + length), (v) => String.fromCharCode(v)).join('');

function dayAt(view: DataView): string | null {
  const [year, month, day] = [24, 26, 28].map((at) => view.getUint16(at)) as [
    number,
    number,
    number,
  ];
  const date = new Date(Date.UTC(year, month - 1, day));
  const real =
    year >= 1990 &&
    year < 2200 &&
    date.getUTCMonth() === month - 1 &&
    date.getUTCDate() === day;
  return real ? date.toISOString().slice(0, 10) : null;
}

const classAt = (icc: Uint8Array): ProfileClass | null =>
  PROFILE_CLASSES[asciiAt(icc, 12) as keyof typeof PROFILE_CLASSES] ?? null;

/** Tags by which a printer's device values are found, intent by intent (ICC.1:2010, 9.2). */
const INTO_DEVICE: Record<TableIntent, string> = {
  perceptual: 'B2A0',
  relative: 'B2A1',
  saturation: 'B2A2',
};

/**
 * Reads what bytes say of themselves as an ICC profile, or why they are none that can be used.
 * Whether its tables are whole, only a conversion tells.
 */
export function readProfileSelf(icc: Uint8Array): ProfileSelf | ProfileFault {
  if (icc.length > MOST_PROFILE_BYTES)
    return { code: 'tooLarge', bytes: icc.length, most: MOST_PROFILE_BYTES };
  if (icc.length < LEAST_BYTES || asciiAt(icc, 36) !== 'acsp') return { code: 'noProfile' };
  const read = readWhole(icc, (view): ProfileSelf | ProfileFault => {
    const says = view.getUint32(0);
    if (says > icc.length) return { code: 'truncated', bytes: icc.length, says };
    const of = classAt(icc);
    if (of === null) return { code: 'class', class: null };
    const count = view.getUint32(128);
    if (count === 0 || count > 100) return { code: 'damaged' };
    for (let i = 0; i < count; i += 1) {
      const [at, length] = [132, 136].map((o) => view.getUint32(o + 4 + i * 12)) as [
        number,
        number,
      ];
      if (at < 128 || at + length > icc.length) return { code: 'damaged' };
    }
    const tags = tagsOf(icc, view);
    const has = TABLE_INTENTS.filter((intent) => tags.has(INTO_DEVICE[intent]));
    return {
      class: of,
      space: asciiAt(icc, 16).trim(),
      pcs: asciiAt(icc, 20).trim(),
      version: `${icc[8]!}.${icc[9]! >> 4}`,
      major: icc[8]!,
      tables: has,
      description: wordsAt(icc, view, tags.get('desc')),
      copyright: wordsAt(icc, view, tags.get('cprt')),
      made: dayAt(view),
      bytes: icc.length,
    };
  });
  return read ?? { code: 'damaged' };
}

/** What a profile is brought for: to print through, or as what a screen shows. */
export type ProfileUse = 'print' | 'screen';

const USABLE: Record<ProfileUse, readonly ProfileClass[]> = {
  // A press or a lab may well give out the profile of a space to be handed files in.
  print: ['output', 'display', 'space'],
  screen: ['display', 'space'],
};
const SPACES: Record<ProfileUse, readonly string[]> = {
  print: ['RGB', 'CMYK'],
  screen: ['RGB'],
};

/** Reads a profile for a use; answers why it cannot serve for it. */
export function judgeProfile(icc: Uint8Array, use: ProfileUse): ProfileSelf | ProfileFault {
  const read = readProfileSelf(icc);
  if ('code' in read) return read;
  if (!USABLE[use].includes(read.class)) return { code: 'class', class: read.class };
  if (!SPACES[use].includes(read.space)) return { code: 'space', space: read.space };
  return read;
}
