/** The command line of a studio: backup, restore, export, check, inspect, rules, passphrase. */
import { existsSync } from 'node:fs';
import { chmod, mkdir, writeFile } from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { Worker } from 'node:worker_threads';
import { startWorkersBy, unfinished } from '@/engine';
import { SHORTEST, keepPassphrase } from '@/gate';
import { exportEverything } from '@/studio/safekeeping/export';
import { startJob } from '@/studio/jobs/startJob';
import { attachStudio, now } from '@/studio/open/open';
import type { Studio } from '@/studio/open/open';
import { ruleReports } from '@/studio/pixels/ruleChange';
import { filesIn, inspectFile } from '@/studio/reads/inspectFiles';
import { ledgerFaults } from '@/studio/words/ledgerWords';
import { restoreBackup } from '@/studio/safekeeping/backup';
import type { BackupResult } from '@/studio/jobs/kinds/backup';
import type { CheckResult } from '@/studio/jobs/kinds/check';
import { FolderHeld, getJob } from '@/data';

const USAGE = `npm run -s glassine -- <command>

  backup FILE.zip            a whole backup, while Glassine may be running
  restore FILE.zip FOLDER    into an empty or new folder, every file checked
  export FOLDER              every table as CSV and JSON
  check                      every stored file and the edition ledger
  inspect PATH ... --json    reads masters, or all in a folder: one JSON object a line
  rules --json               how far the newest print files of an earlier rule of recipes are
                             from the same by the rule of now: one JSON object a line
  passphrase                 sets the passphrase that a network needs

The data folder is GLASSINE_HOME, else ./var.`;

const home = resolve(process.env.GLASSINE_HOME ?? './var');
startWorkersBy(() => new Worker(new URL('./worker.mjs', import.meta.url)));

class Stop extends Error {}
const need = (value: string | undefined, what: string): string => {
  if (value === undefined) throw new Stop(`${what} is missing.\n\n${USAGE}`);
  return value;
};

/** The studio, beside a server that may be at work in it; one command that `writes` at a time. */
async function existing(writes: boolean): Promise<Studio> {
  if (!existsSync(join(home, 'studio.db')))
    throw new Stop(`There is no studio in ${home}. Set GLASSINE_HOME to its data folder.`);
  return attachStudio(home, writes).catch((error: unknown) => {
    if (!(error instanceof FolderHeld)) throw error;
    throw new Stop(
      `Another command is at work here: ${error.message}. Wait until it has ended.`,
    );
  });
}

/** Runs a job to its end with its progress on the terminal; answers what it found. */
async function run<T>(open: Studio, kind: 'backup' | 'check', spec: never): Promise<T> {
  const { id, ended } = await startJob(open, { kind, workId: null, spec, at: now() });
  const unfollow = open.jobs.follow(() => {
    const job = open.jobs.get(id);
    if (job && process.stderr.isTTY)
      process.stderr.write(`\r${job.stage} ${Math.round(job.share * 100)} %      `);
  });
  const { cause } = await ended;
  unfollow();
  if (process.stderr.isTTY) process.stderr.write('\r');
  if (cause) throw cause as Error;
  return (await getJob(open.db.read, id))?.result as T;
}

async function backup(file: string): Promise<void> {
  const target = resolve(file);
  if (existsSync(target)) throw new Stop(`${target} is there already; name a new file.`);
  const open = await existing(true);
  const spec = { target, part: unfinished(target), made: now() };
  const made = await run<BackupResult>(open, 'backup', spec as never);
  console.log(`${target}: ${made.files} files, ${(made.bytes / 1e6).toFixed(1)} MB`);
  if (made.damaged.length > 0)
    throw new Stop(`Left out, since damaged or missing: ${made.lost.join('; ')}.`);
}

async function check(): Promise<void> {
  const found = await run<CheckResult>(await existing(true), 'check', {} as never);
  console.log(`${found.files} files, ${(found.bytes / 1e6).toFixed(1)} MB`);
  const bad = [
    ...found.missing.map((f) => `missing: ${f.what.join(', ')} (${f.sha256})`),
    ...found.damaged.map((f) => `damaged: ${f.what.join(', ')} (${f.sha256})`),
    ...ledgerFaults(found.ledger).map((fault) => `ledger: ${fault}`),
  ];
  if (bad.length > 0) throw new Stop(bad.join('\n'));
  console.log('All are as they were stored; the ledger holds.');
}

/** One JSON object a file; true when every file could be read. */
async function inspectAll(named: string[]): Promise<boolean> {
  const files = await filesIn(named);
  if (files.length === 0) throw new Stop('There is no TIFF, JPEG or PNG there.');
  const never = new AbortController().signal;
  let sound = true;
  for (const file of files) {
    const say = (stage: string, share: number) => {
      if (process.stderr.isTTY)
        process.stderr.write(`\r${file}: ${stage} ${Math.round(share * 100)} %      `);
    };
    const report = await inspectFile(file, say, never);
    if (process.stderr.isTTY) process.stderr.write('\r');
    if ('error' in report) sound = false;
    console.log(JSON.stringify(report));
  }
  return sound;
}

/** One JSON object for each print file that the rule of now would make otherwise. */
async function rules(): Promise<void> {
  const open = await existing(false);
  const never = new AbortController().signal;
  for await (const report of ruleReports(open, never)) console.log(JSON.stringify(report));
}

async function passphrase(): Promise<void> {
  const reader = createInterface({ input: process.stdin, output: process.stderr });
  const typed = await reader.question(`Passphrase, at least ${SHORTEST} characters: `);
  reader.close();
  const path = join(home, 'access.json');
  await mkdir(dirname(path), { recursive: true });
  await writeFile(path, JSON.stringify(await keepPassphrase(typed)));
  await chmod(path, 0o600);
  console.log(`Kept in ${path} as a salted key. Start Glassine again to use it.`);
}

const [command, first, second] = process.argv.slice(2);
try {
  switch (command) {
    case 'backup':
      await backup(need(first, 'The file to write'));
      break;
    case 'restore': {
      const folder = resolve(need(second, 'The folder to restore into'));
      const manifest = await restoreBackup(need(first, 'The backup'), folder);
      console.log(
        `${folder}: restored as it was at ${manifest.made}, ${manifest.files.length} files checked.`,
      );
      for (const name of manifest.leftOut)
        console.log(`Not in it, since damaged when it was made: ${name}`);
      break;
    }
    case 'export': {
      const folder = resolve(need(first, 'The folder to write into'));
      const counts = await exportEverything((await existing(false)).db.read, folder);
      for (const [name, rows] of Object.entries(counts)) console.log(`${name}: ${rows}`);
      break;
    }
    case 'check':
      await check();
      break;
    case 'inspect': {
      const named = process.argv.slice(3).filter((word) => word !== '--json');
      need(named[0], 'The file or folder to read');
      // Lines that are still on their way into a pipe are written before the end.
      if (!(await inspectAll(named))) process.exitCode = 1;
      break;
    }
    case 'rules':
      await rules();
      break;
    case 'passphrase':
      await passphrase();
      break;
    default:
      throw new Stop(USAGE);
  }
  await new Promise((done) => process.stdout.write('', done));
  process.exit(process.exitCode ?? 0);
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
}
