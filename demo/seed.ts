import { spawn } from 'node:child_process';
import { createReadStream } from 'node:fs';
import { mkdir, rm, stat, writeFile } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import { minor, mm } from '@/core/units';
import {
  FolderHeld,
  addBoardShot,
  addMaterial,
  addPaper,
  addWork,
  countWorks,
  newestJob,
  moveStock,
  saveSettings,
} from '@/data';
import { hashFile, receive, runInWorker, startWorkersBy } from '@/engine';
import { deliver, noteFormats } from './paperLots';
import { boardShot } from './capture/board';
import { openStudio } from '@/studio/open/open';
import { ANY_PICTURE } from '@/studio/wayIn/received';
import type { Studio } from '@/studio/open/open';
import { takeMaster } from '@/studio/jobs/takeMaster';
import { ORIGINALS } from './originals';
import type { Original } from './originals';
import { ARTIST, MATERIALS, PAPERS, STUDIO } from './scenario';
import { trade } from './trade';
import { daysAgo } from './tradeSteps';

const say = (text: string) => console.log(text);

/** Paints an original in a process of its own. */
const paint = (original: Original, path: string) =>
  new Promise<void>((done, failed) => {
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', 'demo/paintOne.ts', original.name, path],
      { stdio: 'inherit' },
    );
    child.on('exit', (code) =>
      code === 0 ? done() : failed(new Error(`painting ${original.title} failed`)),
    );
  });

async function settings(open: Studio) {
  await open.db.write((tx) =>
    saveSettings(tx, { studio: STUDIO, currency: 'EUR', locale: 'en-GB' }),
  );
}

async function stock(open: Studio): Promise<number[]> {
  const at = daysAgo(372, 9);
  const ids: number[] = [];
  for (const { received, ...paper } of PAPERS) {
    await open.db.write(async (tx) => {
      const id = await addPaper(tx, {
        ...paper,
        priceOn: at.slice(0, 10),
        createdAt: at,
      });
      await deliver(tx, id, received, at);
      ids.push(id);
    });
  }
  await open.db.write((tx) => noteFormats(tx, ids, (ago) => daysAgo(ago, 9)));
  for (const { received, ...material } of MATERIALS)
    await open.db.write(async (tx) => {
      const id = await addMaterial(tx, material, at);
      await moveStock(tx, {
        of: 'material',
        ref: id,
        pieces: received,
        reason: 'first stock',
        at,
      });
    });
  return ids;
}

const workOf = (o: Omit<Original, 'paint' | 'entered'>, at: string) => ({
  title: o.title,
  artist: ARTIST,
  year: o.year,
  kind: o.kind,
  medium: o.medium,
  width: mm(o.sizeMm[0]),
  height: mm(o.sizeMm[1]),
  price: minor(o.price),
  currency: 'EUR',
  createdAt: at,
});

/** Waits until the queue has run dry; throws when a reading did not end well. */
async function settled(open: Studio, workIds: number[]) {
  while (open.jobs.list().length > 0) await new Promise((r) => setTimeout(r, 200));
  for (const workId of workIds) {
    const job = await newestJob(open.db.read, workId, 'read');
    if (job?.state !== 'done')
      throw new Error(`reading failed: ${job?.error ?? 'never begun'}`);
  }
}

/** A board photographed in the light in which a work was: the left lamp too far away, and too low. */
async function board(open: Studio, folder: string, workId: number) {
  const name = 'buoy-yard_board.png';
  const path = join(folder, name);
  const lamps = [
    { aside: -1.5, before: 1.5, strength: 0.8 },
    { aside: 1.25, before: 1.35, strength: 1 },
  ];
  await writeFile(path, await boardShot([1000, 1400], lamps, 3));
  const { size: bytes } = await stat(path);
  const never = new AbortController().signal;
  const shot = await runInWorker('board', { path, bytes }, () => undefined, never);
  const sha256 = await hashFile(path);
  const at = daysAgo(168, 16);
  await open.db.write((tx) => addBoardShot(tx, { workId, name, sha256, ...shot, at }));
}

/** Two at a time, in order. */
async function pairs<T>(items: T[], run: (item: T) => Promise<void>) {
  const queue = [...items];
  const worker = async () => {
    for (let item = queue.shift(); item; item = queue.shift()) await run(item);
  };
  await Promise.all([worker(), worker()]);
}

/** Makes the demo studio in an empty data folder; leaves an existing one alone. */
async function main() {
  const home = resolve(process.env.GLASSINE_HOME ?? './var/demo');
  const open = await openStudio(home);
  if ((await countWorks(open.db.read)) > 0) {
    say(`The demo studio is there: ${home}`);
    return open.db.close();
  }
  say(`Making the demo studio in ${home}`);
  await settings(open);
  const paperIds = await stock(open);
  const works = new Map<string, number>();
  for (const o of ORIGINALS) {
    const work = await open.db.write((tx) =>
      addWork(tx, workOf(o, daysAgo(o.entered, 10))),
    );
    works.set(o.name, work.id);
  }
  const ferry = {
    name: 'ferry',
    title: 'Night Ferry',
    year: 2026,
    kind: 'printmaking' as const,
    medium: 'Linocut',
    sizeMm: [420, 297] as [number, number],
    price: 31000,
  };
  await open.db.write((tx) => addWork(tx, workOf(ferry as never, daysAgo(6, 10))));
  const folder = join(home, 'tmp-originals');
  await mkdir(folder, { recursive: true });
  await pairs(ORIGINALS, async (o) => {
    const path = join(folder, o.file);
    await paint(o, path);
    const received = await receive(home, createReadStream(path), ANY_PICTURE);
    await takeMaster(open, received, works.get(o.name)!, o.file, {
      at: daysAgo(o.entered - 1, 15),
    });
    await rm(path);
    say(
      `  painted and taken in: ${o.title}, ${((o.width * o.height) / 1e6).toFixed(1)} megapixels`,
    );
  });
  await settled(open, [...works.values()]);
  await board(open, folder, works.get('buoyYard')!);
  await rm(folder, { recursive: true, force: true });
  say('  tiles cut; now the trade of a year');
  await trade(open, works, paperIds, say);
  open.db.close();
  say('The demo studio is ready.');
}

startWorkersBy(() => new Worker(new URL('../scripts/worker.mjs', import.meta.url)));
await main().catch((error: unknown) => {
  if (!(error instanceof FolderHeld)) throw error;
  say(
    `The demo is being served already: ${error.message}. Open that one, or stop it first.`,
  );
  process.exit(1);
});
process.exit(0);
