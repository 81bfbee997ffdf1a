import { execFileSync } from 'node:child_process';
import { createReadStream, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { SpaceId } from '@/core/colour';
import type { MasterFacts } from '@/core/image';
import { addMaster, currentMaster } from '@/data';
import { receive, startWorkersBy } from '@/engine';
import { takeMaster } from '@/studio/jobs/takeMaster';
import { studio } from '@/studio/open/open';
import { ANY_PICTURE } from '@/studio/wayIn/received';
import type { Studio } from '@/studio/open/open';
import { writeSamples } from './master';
import { seedStudio } from './seedStudio';

export const SIZE = 'metricFrames-30x40';
export const MASTER: MasterFacts = {
  format: 'tiff',
  width: 7087,
  height: 9449,
  bitsPerChannel: 16,
  channels: 3,
  colourModel: 'rgb',
  ppiTag: 600,
  iccDescription: 'ROMM RGB',
  orientation: 1,
  bytes: 4e8,
};

/** Threads that take work and never end it: what is tested here is what was ordered. */
const IDLE = "require('node:worker_threads').parentPort.on('message', () => {})";

export interface InProcess {
  open: Studio;
  workId: number;
  editionId: number;
  orderNumbers: string[];
  /** Notes another master of the work; its pixels are only claimed. */
  take(facts?: Partial<MasterFacts>, sha256?: string): Promise<void>;
  rows<T = Record<string, unknown>>(sql: string): Promise<T[]>;
  end(): Promise<void>;
}

const real: Worker[] = [];
const threadFile = join(process.cwd(), `test-results/threads/${process.pid}.mjs`);

/** Threads that do the work, for tests that want it done; called before anything is ordered. */
export function startRealWorkers(): void {
  // As one file they start in a fraction of the time of their sources.
  execFileSync('node_modules/.bin/esbuild', [
    'src/engine/jobs/pixel.worker.ts',
    '--bundle',
    '--platform=node',
    '--packages=external',
    '--format=esm',
    '--log-level=warning',
    `--outfile=${threadFile}`,
  ]);
  startWorkersBy(() => {
    const thread = new Worker(threadFile);
    real.push(thread);
    return thread;
  });
}

/** Ends the threads that did the work. */
export async function endRealWorkers(): Promise<void> {
  await Promise.all(real.map((thread) => thread.terminate()));
  rmSync(threadFile, { force: true });
}

/** A picture of samples, taken in as the work's master by real threads; its number. */
export async function takePicture(
  { open, workId }: InProcess,
  picture: { width: number; height: number; data: Uint16Array },
  space: SpaceId = 'prophoto-rgb',
): Promise<number> {
  const path = join(open.home, 'slack.tif');
  await writeSamples(path, picture, space);
  const received = await receive(open.home, createReadStream(path), ANY_PICTURE);
  await takeMaster(open, received, workId, 'slack.tif');
  await idle(open);
  return (await currentMaster(open.db.read, workId))!.id;
}

/** Waits until nothing is at work. */
export async function idle({ jobs }: Studio): Promise<void> {
  while (jobs.list().length > 0) await new Promise((r) => setTimeout(r, 30));
}

/** A small studio opened in this very process, for actions and views without a server. */
export async function inProcess(
  made: { editionOf?: number; numbered?: number; orders?: number; empty?: boolean } = {},
): Promise<InProcess> {
  const home = mkdtempSync(join(tmpdir(), 'glassine-in-'));
  process.env.GLASSINE_HOME = home;
  const threads: Worker[] = [];
  startWorkersBy(() => {
    const thread = new Worker(IDLE, { eval: true });
    threads.push(thread);
    return thread;
  });
  const { editionOf = 30, numbered = 3, orders = 2, empty = false } = made;
  const seeded = empty
    ? { workId: 0, editionId: 0, orderNumbers: [] }
    : await seedStudio(home, { editionOf, numbered, orders });
  const open = await studio();
  const take: InProcess['take'] = (facts = {}, sha256 = 'a'.repeat(64)) =>
    open.db.write(async (tx) => {
      const master = {
        workId: seeded.workId,
        sha256,
        name: 'slack.tif',
        at: '2026-11-02T11:00:00.000Z',
        assumedSpace: null,
      };
      await addMaster(tx, master, { ...MASTER, ...facts });
    });
  if (!empty) await take();
  return {
    ...seeded,
    open,
    take,
    rows: (sql) => open.db.read.all(sql),
    async end() {
      await Promise.all(threads.map((thread) => thread.terminate()));
      await endRealWorkers();
      open.db.close();
      // The next one of this process is opened anew.
      (globalThis as { glassineStudio?: unknown }).glassineStudio = undefined;
      rmSync(home, { recursive: true });
    },
  };
}
