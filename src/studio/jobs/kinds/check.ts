import type { LedgerCheck } from '@/core/edition';
import { checkLedger, dependants, referredFiles } from '@/data';
import { SHA256, runInWorker, storePaths } from '@/engine';
import type { Progress } from '@/engine';
import type { Studio } from '../../running/studio';
import type { JobDefinition } from '../definition';

export interface CheckResult {
  files: number;
  bytes: number;
  missing: { sha256: string; what: string[] }[];
  damaged: { sha256: string; what: string[] }[];
  ledger: LedgerCheck;
}

/** Holds every stored file against its hash, and every entry of the ledger against the one before. */
async function checkRun(
  open: Studio,
  _spec: unknown,
  progress: Progress,
  signal: AbortSignal,
): Promise<{ result: CheckResult }> {
  const paths = storePaths(open.home);
  const all = await referredFiles(open.db.read);
  const hashes = all.filter((name) => SHA256.test(name));
  // What is named by something that is no hash is nowhere.
  const odd = all.filter((name) => !SHA256.test(name));
  const files = hashes.map((sha256) => ({ sha256, path: paths.file(sha256) }));
  const found = await runInWorker('checkStored', { files }, progress, signal);
  const words = await dependants(open.db.read, [
    ...odd,
    ...found.missing,
    ...found.damaged,
  ]);
  const named = (list: string[]) =>
    list.map((sha256) => ({
      sha256,
      what: words.filter((w) => w.sha256 === sha256).map((w) => w.what),
    }));
  return {
    result: {
      files: files.length,
      bytes: found.bytes,
      missing: named([...odd, ...found.missing]),
      damaged: named(found.damaged),
      ledger: await checkLedger(open.db.read),
    },
  };
}

export const check: JobDefinition<Record<string, never>> = {
  called: 'Checking the stored files',
  run: checkRun,
};
