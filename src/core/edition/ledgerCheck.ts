import { impressionKey, impressionsOf } from './impressions';
import type { Impression } from './impressions';
import type { ChainFault } from './chain';
import type { LedgerFact } from './types';

/** What an edition was declared for: in the hashed payload, so that no row can say otherwise. */
export interface DeclaredFor {
  workId: number;
  /** The size it is of, or `all`. */
  sizeKey: string;
  /** The work as it was called then. */
  title: string;
  artist: string;
}

/**
 * What an edition was declared for, by its entries in order; of one declared before that was
 * written down, what was attested when it was carried over. Null while neither is there.
 */
export function declaredFor(entries: Iterable<LedgerFact>): DeclaredFor | null {
  let found: DeclaredFor | null = null;
  for (const { kind, payload } of entries)
    if ((kind === 'declared' || kind === 'attested') && payload.workId !== undefined)
      found = {
        workId: Number(payload.workId),
        sizeKey: String(payload.sizeKey),
        title: String(payload.title),
        artist: String(payload.artist),
      };
  return found;
}

/** An edition, as its row and the derived tables show it. */
export interface ShownEdition {
  id: number;
  workId: number;
  sizeKey: string;
  kind: string | null;
  size: number | null;
  artistsProofs: number | null;
  impressions: Pick<
    Impression,
    'series' | 'number' | 'state' | 'printing' | 'order' | 'sizeKey'
  >[];
}

export type LedgerFault =
  | ({ code: 'entry' } & ChainFault)
  /** The row of an edition names another work or size than its declaration. */
  | { code: 'otherWork'; editionId: number; declared: DeclaredFor }
  /** A derived table shows something else than the entries tell. */
  | { code: 'shownOtherwise'; editionId: number }
  /** Entries that are known to have been there are not. */
  | { code: 'cutOff'; entries: number; known: number; by: 'backup' | 'certificate' | 'log' }
  /** Guards of the database that are missing or were changed. */
  | { code: 'guards'; names: string[] };

export interface LedgerCheck {
  sound: boolean;
  entries: number;
  faults: LedgerFault[];
}

const told = (i: ShownEdition['impressions'][number]): string =>
  [impressionKey(i.series, i.number), i.state, i.printing, i.order ?? '', i.sizeKey].join(
    '|',
  );

/** Holds what is shown of an edition against its entries, in order: the first fault, or null. */
export function editionFault(
  shown: ShownEdition,
  entries: readonly LedgerFact[],
): LedgerFault | null {
  const editionId = shown.id;
  const declared = declaredFor(entries);
  if (declared && (declared.workId !== shown.workId || declared.sizeKey !== shown.sizeKey))
    return { code: 'otherWork', editionId, declared };
  const last = entries.filter((e) => e.kind === 'declared').at(-1)?.payload;
  const declaration = [shown.kind, shown.size, shown.artistsProofs].join('|');
  const same =
    !last || declaration === [last.kind, last.size, last.artistsProofs].join('|');
  const kept = shown.impressions.map(told).sort().join('\n');
  const derived = impressionsOf(entries).map(told).sort().join('\n');
  return same && kept === derived ? null : { code: 'shownOtherwise', editionId };
}
