import { standingReference } from '@/core/proof';
import type { PrintMadeOf, ReferenceStanding } from '@/core/proof';
import { nominalSize } from '@/core/size';
import {
  approvedProofs,
  mastersAndSizes,
  newestRecipes,
  profilesInUse,
  readSettings,
  routesNow,
} from '@/data';
import type { Proof, Reading } from '@/data';
import { referenceWords } from '../words/proofWords';
import { profileFor } from './profileFor';

/** An approved round, and what its paper and printer are printed with by now. */
export type ApprovedRound = Proof & { profileNow: string | null; inkSetNow: string | null };

/** The reference that a print of a size is held against. */
export interface ReferenceOf {
  /** Null where no round was ever approved. */
  standing: ReferenceStanding<ApprovedRound> | null;
  /** Why it is not valid, in words; empty while it holds. */
  why: string;
}

/** The approved rounds of some works, oldest first. */
export async function approvedRounds(
  db: Reading,
  workIds: readonly number[],
): Promise<ApprovedRound[]> {
  const [rounds, inUse, routes] = await Promise.all([
    approvedProofs(db, workIds),
    profilesInUse(db),
    routesNow(db),
  ]);
  return rounds.map((r) => ({
    ...r,
    profileNow: profileFor(inUse, r, routes)?.sha256 ?? null,
    inkSetNow: routes.find((route) => route.name === r.route)?.inkSet || null,
  }));
}

/** What references of some works are held against. */
async function knownOf(db: Reading, workIds: readonly number[]) {
  const [rounds, recipes, works, { proof }] = await Promise.all([
    approvedRounds(db, workIds),
    newestRecipes(db, workIds),
    mastersAndSizes(db, workIds),
    readSettings(db),
  ]);
  return { rounds, recipes, works, factor: proof.sizeFactor };
}

function standingIn(
  { rounds, recipes, works, factor }: Awaited<ReturnType<typeof knownOf>>,
  workId: number,
  print: PrintMadeOf,
  of: 'files' | 'filesSince',
): ReferenceOf {
  const nominal = nominalSize(print.sizeKey);
  const own = recipes.filter((f) => f.workId === workId && f.sizeKey === print.sizeKey);
  const standing = standingReference(
    rounds.filter((r) => r.workId === workId),
    (round) => ({
      area: nominal ? nominal.width * nominal.height : null,
      masterId: works.find((w) => w.workId === workId)?.masterId ?? null,
      recipe:
        own.find(
          (f) =>
            // A file in ink beside the one in RGB is held against a proof in ink.
            (f.channels === 4) === round.inInk &&
            (of === 'files' || f.at > (round.backAt ?? '')),
        )?.recipe ?? null,
      ...print,
    }),
    factor,
  );
  return {
    standing,
    why: referenceWords(standing && { ...standing.round, reasons: standing.reasons }),
  };
}

/**
 * The reference for a print of a work that is about to be made at a size: with the master of now and,
 * where nothing else is said, by the recipe of the newest file of its size.
 */
export const referenceOf = async (
  db: Reading,
  workId: number,
  print: PrintMadeOf,
): Promise<ReferenceOf> => standingIn(await knownOf(db, [workId]), workId, print, 'files');

/** The same where nothing is about to be made: a file from before the approval is not held against it. */
export const referenceSince = async (
  db: Reading,
  workId: number,
  print: PrintMadeOf,
): Promise<ReferenceOf> =>
  standingIn(await knownOf(db, [workId]), workId, print, 'filesSince');

/** A size on offer whose approved proof is no reference any more. */
export interface LapsedReference {
  workId: number;
  sizeKey: string;
  /** Why, in words. */
  why: string;
}

/** Sizes on offer of some works that were approved once, and of which no proof is valid now. */
export async function lapsedReferences(
  db: Reading,
  workIds: readonly number[],
): Promise<LapsedReference[]> {
  const known = await knownOf(db, workIds);
  return known.works.flatMap(({ workId, offered }) =>
    offered
      .filter((key) => known.rounds.some((r) => r.workId === workId && r.sizeKey === key))
      .flatMap((sizeKey) => {
        const { why } = standingIn(known, workId, { sizeKey }, 'filesSince');
        return why === '' ? [] : [{ workId, sizeKey, why }];
      }),
  );
}
