import { and, desc, eq, sql } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { papers, profileUses, profiles } from '../schema';

export type ProfileUseRow = typeof profileUses.$inferSelect;

/** A profile that is in use now: of which paper, by which printer, with which setting. */
export interface ProfileInUse {
  paperId: number;
  paper: string;
  printer: string;
  setting: string;
  /** The driver lacks the paper: the setting stands in for it. */
  standIn: boolean;
  sha256: string;
  profile: string;
  space: 'RGB' | 'CMYK';
  at: string;
}

/** The newest row of each paper, printer and setting. */
const NEWEST = sql`${profileUses.id} IN (
  SELECT max(id) FROM profile_use GROUP BY paper_id, printer, setting)`;

const inUse = (db: Reading) =>
  db
    .select({
      paperId: profileUses.paperId,
      paper: papers.name,
      printer: profileUses.printer,
      setting: profileUses.setting,
      standIn: profileUses.standIn,
      sha256: profiles.sha256,
      profile: profiles.name,
      space: profiles.space,
      at: profileUses.at,
    })
    .from(profileUses)
    .innerJoin(profiles, eq(profiles.sha256, profileUses.sha256))
    .innerJoin(papers, eq(papers.id, profileUses.paperId));

/** Profiles in use, those last taken into use first; of one paper where it is named. */
export const profilesInUse = (db: Reading, paperId?: number): Promise<ProfileInUse[]> =>
  inUse(db)
    .where(paperId === undefined ? NEWEST : and(eq(profileUses.paperId, paperId), NEWEST))
    .orderBy(desc(profileUses.id));

/** What a profile was ever used for, newest first: it stays with what was printed through it. */
export const usesOfProfile = (db: Reading, sha256: string): Promise<ProfileInUse[]> =>
  inUse(db).where(eq(profileUses.sha256, sha256)).orderBy(desc(profileUses.id));

/** Notes through which profile a paper is printed from now on. */
export async function takeProfile(
  tx: Writing,
  {
    standIn = false,
    ...of
  }: Omit<ProfileUseRow, 'id' | 'standIn'> & Partial<Pick<ProfileUseRow, 'standIn'>>,
  names: { paper: string; profile: string },
): Promise<number> {
  const use = { ...of, standIn };
  const row = await record(tx, profileUses, use, {
    at: use.at,
    what: use.sha256 === null ? 'profile.left' : 'profile.used',
    detail: { ...names, printer: use.printer, setting: use.setting },
  });
  return row.id;
}
