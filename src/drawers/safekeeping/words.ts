import type { Format } from '@/shell/figures';
import { ledgerFaults } from '@/studio/words/ledgerWords';
import type { CheckResult } from '@/studio';

export const megabytes = (bytes: number, format: Format): string =>
  bytes < 1e9
    ? `${format.number(bytes / 1e6)}\u202fMB`
    : `${format.number(bytes / 1e9, 1)}\u202fGB`;

/** What the age and the place of the last backup mean. */
export function backupSentence(daysOld: number | null, sameDisk: boolean): string {
  if (daysOld === null)
    return 'Nothing is saved elsewhere yet. One press makes a whole backup; you can go on working meanwhile.';
  if (sameDisk)
    return 'Backups lie on the same disk as your data: should it fail, both are gone. Name a folder on another disk.';
  return daysOld === 0
    ? 'Saved today, on another disk.'
    : `Saved ${daysOld} ${daysOld === 1 ? 'day' : 'days'} ago, on another disk.`;
}

/** What to make of stored files that belong to nothing; null where there are none. */
export const unnamedWords = (
  files: readonly { bytes: number }[],
  format: Format,
): string | null =>
  files.length === 0
    ? null
    : `${files.length} stored ${files.length === 1 ? 'file belongs' : 'files belong'} to nothing (${megabytes(
        files.reduce((sum, f) => sum + f.bytes, 0),
        format,
      )}): a process was stopped before it wrote down what they are. No work, order or sheet needs them.`;

/** What a check found: one sentence, and a line for each file that is not what it was. */
export function checkWords(
  check: CheckResult & { at: string },
  format: Format,
): { sound: boolean; sentence: string; lines: string[] } {
  const line = (state: string) => (f: CheckResult['missing'][number]) =>
    `${state}: ${f.what.length === 0 ? f.sha256.slice(0, 16) : f.what.join(', ')}. Bring back files/${f.sha256.slice(0, 2)}/${f.sha256.slice(0, 12)}… from a backup.`;
  const lines = [
    ...check.missing.map(line('Missing')),
    ...check.damaged.map(line('Damaged')),
    ...ledgerFaults(check.ledger).map((fault) => `The edition ledger: ${fault}`),
  ];
  const when = format.day(check.at);
  return {
    sound: lines.length === 0,
    sentence:
      lines.length === 0
        ? `On ${when} all ${check.files} files, ${megabytes(check.bytes, format)}, were what they had been, and the ledger held.`
        : `On ${when} ${lines.length} of ${check.files} files or entries were not what they had been.`,
    lines,
  };
}
