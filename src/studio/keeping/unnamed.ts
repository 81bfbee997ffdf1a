import { referredFiles } from '@/data';
import { unnamedFiles } from '@/engine';
import { now } from '../running/studio';
import type { Studio } from '../running/studio';
import { dropUnnamed } from './keeping';

const DAY_MS = 86_400_000;

/** Notes the stored files that no row names: what a process left that was killed before its write. */
export async function lookForUnnamed(open: Studio): Promise<void> {
  const named = new Set(await referredFiles(open.db.read));
  open.unnamed = await unnamedFiles(open.home, named, Date.parse(now()) - DAY_MS);
  const bytes = open.unnamed.reduce((sum, f) => sum + f.bytes, 0);
  if (open.unnamed.length > 0)
    console.log(
      `${open.unnamed.length} stored files (${(bytes / 1e6).toFixed(1)} MB) belong to nothing any more. “Your data” can take them away.`,
    );
}

/** Takes the files that were found to belong to nothing away, each asked about once more; how many were. */
export async function dropAllUnnamed(open: Studio): Promise<number> {
  const found = open.unnamed;
  for (const { sha256 } of found) await dropUnnamed(open, sha256);
  await lookForUnnamed(open);
  return found.length - open.unnamed.length;
}
