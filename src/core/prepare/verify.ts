export interface PrintFileFacts {
  width: number;
  height: number;
  ppi: number | null;
  iccDescription: string | null;
  bitsPerChannel: number;
  channels: number;
  /** Lowest and highest value over all channels of the picture area, of 255. */
  range: [number, number];
  /** Lowest value found in the border, of 255; null without a border. */
  borderMinimum: number | null;
}

export type CheckName = 'pixels' | 'ppi' | 'profile' | 'bits' | 'picture' | 'border';

export interface Check {
  check: CheckName;
  wanted: string;
  found: string;
  passed: boolean;
}

/** Compares a written and reopened print file with its order. */
export function verifyPrintFile(
  wanted: { width: number; height: number; ppi: number; profile: string },
  found: PrintFileFacts,
): Check[] {
  const check = (name: CheckName, w: string, f: string, passed = w === f): Check => ({
    check: name,
    wanted: w,
    found: f,
    passed,
  });
  const checks = [
    check(
      'pixels',
      `${wanted.width} × ${wanted.height}`,
      `${found.width} × ${found.height}`,
    ),
    check('ppi', String(wanted.ppi), found.ppi === null ? 'none' : String(found.ppi)),
    check('profile', wanted.profile, found.iccDescription ?? 'none'),
    check('bits', '3 × 8', `${found.channels} × ${found.bitsPerChannel}`),
    check(
      'picture',
      'not all one tone',
      `${found.range[0]} to ${found.range[1]}`,
      found.range[1] > found.range[0],
    ),
  ];
  if (found.borderMinimum !== null)
    checks.push(check('border', '255', String(found.borderMinimum)));
  return checks;
}
