import { readFile } from 'node:fs/promises';
import { readProfileSelf } from '@/core/colour';
import type { ProfileSelf } from '@/core/colour';
import {
  MOST_CHOICES,
  papersToPrintOn,
  profilesInUse,
  profilesNow,
  readSettings,
  routesNow,
  usesOfProfile,
} from '@/data';
import type { ProfileRow } from '@/data';
import { storePaths } from '@/engine';
import type { ProfilePortrait } from '@/engine';
import { portraitOf, studio } from '@/studio';
import type { Studio } from '@/studio';

/** A profile as it is shown: what it says, and what it was measured to do; null where its bytes are gone. */
export interface ShownProfile extends ProfileRow {
  self: ProfileSelf | null;
  portrait: ProfilePortrait | null;
}

async function shown(open: Studio, row: ProfileRow): Promise<ShownProfile> {
  const path = storePaths(open.home).file(row.sha256);
  const bytes = await readFile(/*turbopackIgnore: true*/ path).catch(() => null);
  if (!bytes) return { ...row, self: null, portrait: null };
  const self = readProfileSelf(new Uint8Array(bytes));
  const portrait = await portraitOf(open, row.sha256).catch(() => null);
  return { ...row, self: 'code' in self ? null : self, portrait };
}

/** The profile library: what is there, which papers are printed through it, and two of them measured. */
export async function loadProfiles(query: Record<string, string | undefined>) {
  const open = await studio();
  const db = open.db.read;
  const [all, inUse, papers, routes, settings] = await Promise.all([
    profilesNow(db),
    profilesInUse(db),
    papersToPrintOn(db, MOST_CHOICES),
    routesNow(db),
    readSettings(db),
  ]);
  const rows = all
    .map((row) => ({ ...row, uses: inUse.filter((u) => u.sha256 === row.sha256) }))
    .sort((a, b) => b.at.localeCompare(a.at) || a.name.localeCompare(b.name));
  const found = rows.find((r) => r.sha256 === query.profile) ?? rows[0] ?? null;
  const other = rows.find((r) => r.sha256 === query.beside && r !== found) ?? null;
  return {
    rows,
    picked: found && (await shown(open, found)),
    beside: other && (await shown(open, other)),
    /** Papers it was used for before and is not any more. */
    past: found
      ? (await usesOfProfile(db, found.sha256)).filter(
          (u) =>
            !found.uses.some((n) => n.paperId === u.paperId && n.printer === u.printer),
        )
      : [],
    papers: papers.map(({ id, name, printerSetting }) => ({ id, name, printerSetting })),
    printers: routes.map((r) => r.name),
    bringing: query.bring === '1' || rows.length === 0,
    settings,
  };
}

export type ProfilesView = Awaited<ReturnType<typeof loadProfiles>>;
