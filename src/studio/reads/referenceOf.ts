import { standingReference } from '@/core/proof';
import type { PrintMadeOf, ReferenceStanding } from '@/core/proof';
import { nominalSize } from '@/core/size';
import {
  currentMaster,
  printFilesOf,
  profilesInUse,
  proofsOf,
  readSettings,
  routesNow,
} from '@/data';
import type { Proof, Reading } from '@/data';
import { referenceWords } from '../words/proofWords';
import { profileFor } from './profileFor';

/** An approved round, and the profile that its paper and printer are printed with by now. */
export type ApprovedRound = Proof & { profileNow: string | null };

/** The approved rounds of a work, oldest first. */
export async function approvedRounds(
  db: Reading,
  workId: number,
): Promise<ApprovedRound[]> {
  const [rounds, inUse, routes] = await Promise.all([
    proofsOf(db, workId),
    profilesInUse(db),
    routesNow(db),
  ]);
  return rounds
    .filter((r) => r.verdict === 'approved')
    .map((r) => ({ ...r, profileNow: profileFor(inUse, r, routes)?.sha256 ?? null }));
}

/** The reference that a print of a size is held against. */
export interface ReferenceOf {
  /** Null where no round was ever approved. */
  standing: ReferenceStanding<ApprovedRound> | null;
  /** Why it is not valid, in words; empty while it holds. */
  why: string;
}

/**
 * The reference for a print of a work that is about to be made at a size: with the master of now and,
 * where nothing else is said, by the recipe of the newest file of its size.
 */
export async function referenceOf(
  db: Reading,
  workId: number,
  print: PrintMadeOf,
): Promise<ReferenceOf> {
  const [rounds, files, master, { proof }] = await Promise.all([
    approvedRounds(db, workId),
    'recipe' in print ? [] : printFilesOf(db, workId),
    currentMaster(db, workId),
    readSettings(db),
  ]);
  const nominal = nominalSize(print.sizeKey);
  const standing = standingReference(
    rounds,
    {
      area: nominal ? nominal.width * nominal.height : null,
      masterId: master?.id ?? null,
      recipe: files.find((f) => f.sizeKey === print.sizeKey)?.recipe ?? null,
      ...print,
    },
    proof.sizeFactor,
  );
  return {
    standing,
    why: referenceWords(standing && { ...standing.round, reasons: standing.reasons }),
  };
}
