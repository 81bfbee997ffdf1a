import { readFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { INK_ROLES, coverages } from '@/core/ink';
import type { InkRole } from '@/core/ink';
import { readProfile, runAtOnce } from '@/engine';
import { BadJob } from './jobFile';

const FOUR: readonly InkRole[] = ['cyan', 'magenta', 'yellow', 'black'];
const round = (v: number) => Number(v.toFixed(4));

const isRole = (name: string): name is InkRole =>
  (INK_ROLES as readonly string[]).includes(name);

/** The inks that were named. Throws BadJob where one is none. */
function rolesIn(named: string | null): readonly InkRole[] {
  if (named === null) return FOUR;
  return named.split(',').map((n) => {
    const role = n.trim();
    if (!isRole(role))
      throw new BadJob(`${role}: no ink is called so. There are ${INK_ROLES.join(', ')}.`);
    return role;
  });
}

/** A printer's profile of a file. Throws BadJob, in words. */
async function profileIn(path: string) {
  const bytes = await readFile(path).catch(() => null);
  if (!bytes) throw new BadJob(`${path}: there is no such file, or it cannot be read.`);
  const icc = new Uint8Array(bytes);
  const facts = await readProfile(icc);
  if (facts?.space !== 'RGB' && facts?.space !== 'CMYK')
    throw new BadJob(`${basename(path)}: it is no profile of a printer in RGB or CMYK.`);
  return { icc, channels: facts.space === 'CMYK' ? (4 as const) : (3 as const) };
}

/** What a picture of a file takes of each ink, printed through a profile of another. Throws BadJob, in words. */
export async function inkOfPictureFile(
  path: string,
  profile: string | null,
  inks: string | null,
) {
  const roles = rolesIn(inks);
  const way = profile === null ? null : await profileIn(profile);
  const nobody = new AbortController().signal;
  const found = await runAtOnce(
    'ink',
    { path, ways: [way] },
    () => undefined,
    nobody,
  ).catch((error: unknown) => {
    throw new BadJob(`${basename(path)}: it cannot be read (${(error as Error).message}).`);
  });
  const stats = found[0]!;
  const covered = coverages(
    roles.map((role) => ({ role, papers: 'all' })),
    stats,
    null,
  );
  return {
    model: way === null ? 'picture' : way.channels === 4 ? 'profile' : 'rgb',
    covers: Object.fromEntries(roles.map((role, i) => [role, round(covered[i]!)])),
    total: round(covered.reduce((sum, v) => sum + v, 0)),
  };
}
