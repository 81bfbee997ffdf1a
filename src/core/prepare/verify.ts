export interface PrintFileFacts {
  width: number;
  height: number;
  ppi: number | null;
  iccDescription: string | null;
  bitsPerChannel: number;
  channels: number;
  format: string;
  /** Lowest and highest value over all channels of the picture area, of 255. */
  range: [number, number];
  /** The most that a sample of the border differs from paper white, of 255; null without a border. */
  borderInk: number | null;
  /** Mean difference from the thumbnail that was expected, of 255; null where it was not looked for. */
  thumbnail: number | null;
  /** The title that the file carries. */
  title: string | null;
}

export type CheckName =
  | 'pixels'
  | 'ppi'
  | 'profile'
  | 'bits'
  | 'format'
  | 'picture'
  | 'border'
  | 'thumbnail'
  | 'title'
  | 'checksum';

export interface Check {
  check: CheckName;
  wanted: string;
  found: string;
  passed: boolean;
}

export interface PrintFileWanted {
  width: number;
  height: number;
  ppi: number;
  profile: string;
  channels: number;
  bits: number;
  format: string;
  title: string;
}

/** Mean difference of the thumbnails up to which they show the same picture, of 255. */
const SAME_PICTURE = 6;
const SAME_PPI = 0.02;

const check = (
  name: CheckName,
  wanted: string,
  found: string,
  passed = wanted === found,
) => ({
  check: name,
  wanted,
  found,
  passed,
});

/** Compares a written and reopened print file with its order. */
export function verifyPrintFile(wanted: PrintFileWanted, found: PrintFileFacts): Check[] {
  const checks: Check[] = [
    check(
      'pixels',
      `${wanted.width} × ${wanted.height}`,
      `${found.width} × ${found.height}`,
    ),
    check(
      'ppi',
      String(wanted.ppi),
      found.ppi === null ? 'none' : String(Math.round(found.ppi * 100) / 100),
      found.ppi !== null && Math.abs(found.ppi - wanted.ppi) <= SAME_PPI,
    ),
    check('profile', wanted.profile, found.iccDescription ?? 'none'),
    check(
      'bits',
      `${wanted.channels} × ${wanted.bits}`,
      `${found.channels} × ${found.bitsPerChannel}`,
    ),
    check('format', wanted.format, found.format),
    check(
      'picture',
      'not all one tone',
      `${found.range[0]} to ${found.range[1]}`,
      found.range[1] > found.range[0],
    ),
  ];
  if (found.borderInk !== null) checks.push(check('border', '0', String(found.borderInk)));
  if (found.thumbnail !== null)
    checks.push(
      check(
        'thumbnail',
        `within ${SAME_PICTURE} of 255`,
        found.thumbnail.toFixed(1),
        found.thumbnail <= SAME_PICTURE,
      ),
    );
  checks.push(check('title', wanted.title, found.title ?? 'none'));
  return checks;
}

/**
 * The bytes that were kept against those that were written, by their SHA-256.
 * @example checksumCheck('ab12', 'ab12') // { passed: true }
 */
export const checksumCheck = (written: string, kept: string): Check =>
  check('checksum', written, kept);
