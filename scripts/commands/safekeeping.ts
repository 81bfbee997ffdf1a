import { existsSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import { getJob } from '@/data';
import { unfinished } from '@/engine';
import { startJob } from '@/studio/jobs/startJob';
import { now } from '@/studio/open/open';
import type { Studio } from '@/studio/open/open';
import { exportEverything } from '@/studio/safekeeping/export';
import { restoreBackup } from '@/studio/safekeeping/restore';
import { ledgerFaults } from '@/studio/words/ledgerWords';
import type { BackupResult } from '@/studio/jobs/kinds/backup';
import type { CheckResult } from '@/studio/jobs/kinds/check';
import { Stop, existing, said, saying } from './command';
import type { Command } from './command';

/** Runs a job to its end with its progress on the terminal; answers what it found. */
async function run<T>(open: Studio, kind: 'backup' | 'check', spec: never): Promise<T> {
  const { id, ended } = await startJob(open, { kind, workId: null, spec, at: now() });
  const say = saying('');
  const unfollow = open.jobs.follow(() => {
    const job = open.jobs.get(id);
    if (job) say(job.stage, job.share);
  });
  const { cause } = await ended;
  unfollow();
  said();
  if (cause) throw cause as Error;
  return (await getJob(open.db.read, id))?.result as T;
}

/** Files that a backup lacks, each by its name. */
const sayLeftOut = ({ leftOut }: { leftOut: readonly string[] }): void => {
  for (const name of leftOut)
    console.log(`Not in it, since damaged when it was made: ${name}`);
};

export const backup: Command = {
  name: 'backup',
  takes: 'FILE.zip',
  does: 'a whole backup, while Glassine may be running',
  words: [1, 1],
  async run([file = ''], flags) {
    const target = resolve(file);
    if (existsSync(target)) throw new Stop(`${target} is there already; name a new file.`);
    const open = await existing(flags, true);
    const spec = { target, part: unfinished(target), made: now() };
    const made = await run<BackupResult>(open, 'backup', spec as never);
    console.log(`${target}: ${made.files} files, ${(made.bytes / 1e6).toFixed(1)} MB`);
    if (made.damaged.length > 0)
      throw new Stop(`Left out, since damaged or missing: ${made.lost.join('; ')}.`);
  },
};

export const verify: Command = {
  name: 'verify',
  takes: 'FILE.zip',
  does: 'holds a backup against itself, every file and the ledger, and keeps nothing of it',
  words: [1, 1],
  async run([file = '']) {
    // Beside the backup there is room for what is in it.
    const place = await mkdtemp(join(dirname(resolve(file)), '.glassine-verify-'));
    try {
      const manifest = await restoreBackup(file, join(place, 'studio'), saying(''));
      said();
      console.log(
        `${resolve(file)}: whole, made ${manifest.made}; ${manifest.files.length} files, and the ledger holds.`,
      );
      sayLeftOut(manifest);
    } finally {
      await rm(place, { recursive: true, force: true });
    }
  },
};

export const restore: Command = {
  name: 'restore',
  takes: 'FILE.zip FOLDER',
  does: 'into an empty or new folder, every file checked',
  words: [2, 2],
  async run([file = '', into = '']) {
    const folder = resolve(into);
    const manifest = await restoreBackup(file, folder, saying(''));
    said();
    console.log(
      `${folder}: restored as it was at ${manifest.made}, ${manifest.files.length} files checked.`,
    );
    sayLeftOut(manifest);
  },
};

export const exportTables: Command = {
  name: 'export',
  takes: 'FOLDER',
  does: 'every table as CSV and JSON',
  words: [1, 1],
  async run([into = ''], flags) {
    const open = await existing(flags, false);
    const counts = await exportEverything(open.db.read, resolve(into));
    for (const [name, rows] of Object.entries(counts)) console.log(`${name}: ${rows}`);
  },
};

export const check: Command = {
  name: 'check',
  takes: '',
  does: 'every stored file and the edition ledger',
  words: [0, 0],
  async run(_words, flags) {
    const found = await run<CheckResult>(await existing(flags, true), 'check', {} as never);
    console.log(`${found.files} files, ${(found.bytes / 1e6).toFixed(1)} MB`);
    const bad = [
      ...found.missing.map((f) => `missing: ${f.what.join(', ')} (${f.sha256})`),
      ...found.damaged.map((f) => `damaged: ${f.what.join(', ')} (${f.sha256})`),
      ...ledgerFaults(found.ledger).map((fault) => `ledger: ${fault}`),
    ];
    if (bad.length > 0) throw new Stop(bad.join('\n'));
    console.log('All are as they were stored; the ledger holds.');
  },
};
