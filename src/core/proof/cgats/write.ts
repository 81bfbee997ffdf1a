import type { PatchReading } from './readings';

const quoted = (text: string) => `"${text.replaceAll('"', "'")}"`;

/**
 * Readings as CGATS.17 text: name and L*a*b* of each patch, D50, 2 degrees. `created`: a day,
 * YYYY-MM-DD. Read back they are the same to 0.001.
 */
export function writeCgats(
  patches: readonly PatchReading[],
  { originator, created }: { originator: string; created: string },
): string {
  const lines = [
    'CGATS.17',
    `ORIGINATOR ${quoted(originator)}`,
    `CREATED ${quoted(created)}`,
    'ILLUMINATION_NAME "D50"',
    'OBSERVER "2"',
    'NUMBER_OF_FIELDS 5',
    'BEGIN_DATA_FORMAT',
    'SAMPLE_ID SAMPLE_NAME LAB_L LAB_A LAB_B',
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS ${patches.length}`,
    'BEGIN_DATA',
    ...patches.map(({ name, lab }, i) =>
      [i + 1, quoted(name), ...lab.map((v) => v.toFixed(3))].join(' '),
    ),
    'END_DATA',
  ];
  return `${lines.join('\n')}\n`;
}
