import type { LedgerCheck, LedgerFault } from '@/core/edition';

const WHY = {
  missing: 'an entry before it is missing',
  changed: 'its content was changed after it was written',
  unlinked: 'it does not follow from the entry before it',
} as const;

const KNOWN_BY = {
  backup: 'the last backups know',
  certificate: 'certificates that went out know',
  log: 'the log book knows',
} as const;

const SOME = 4;
const listed = (names: readonly string[]): string =>
  names.length <= SOME
    ? names.join(', ')
    : `${names.slice(0, SOME).join(', ')} and ${names.length - SOME} more`;

/** One fault of the ledger, in a sentence. */
function faultWord(fault: LedgerFault): string {
  switch (fault.code) {
    case 'entry':
      return `It is broken at entry ${fault.brokenAt}: ${WHY[fault.why]}.`;
    case 'cutOff':
      return `It has ${fault.entries} entries, but ${KNOWN_BY[fault.by]} of ${fault.known}, or of others: some were cut off or rewritten.`;
    case 'guards':
      return `Guards of the database that refuse changes are missing or were changed: ${listed(fault.names)}.`;
    case 'otherWork':
      return `Edition ${fault.editionId} was declared for “${fault.declared.title}” by ${fault.declared.artist}; its row was changed to name another work or size.`;
    case 'shownOtherwise':
      return `Edition ${fault.editionId} is shown otherwise than its entries tell: what is derived from them was changed.`;
  }
}

/** What a check of the ledger that was kept looks like; of before, it names only the first broken entry. */
type KeptCheck =
  LedgerCheck | { sound: true; entries: number } | { sound: false; brokenAt: number };

/** The faults that a check of the ledger found, each in a sentence; none where it holds. */
export function ledgerFaults(check: KeptCheck): string[] {
  if (check.sound) return [];
  if ('faults' in check) return check.faults.map(faultWord);
  return 'brokenAt' in check ? [`It is broken at entry ${check.brokenAt}.`] : [];
}

/** What the check of the ledger found, and what to do. */
export const ledgerWords = (check: LedgerCheck): string =>
  check.sound
    ? `The ledger holds: ${check.entries} entries, each following from the one before; the guards of the database are those that were shipped, and every edition is shown as its entries tell.`
    : `The ledger does not hold. ${ledgerFaults(check).join(' ')} Go back to a backup from before.`;
