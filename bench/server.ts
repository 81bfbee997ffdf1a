import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { openDatabase } from '@/data';
import { PREPARE, printOrder } from '../e2e/support/errands';
import { StudioServer } from '../e2e/support/studioServer';
import { within } from './folder';
import { fillLargeStudio } from './largeStudio';
import { writePicture } from './picture';

const SIZE = 'metricFrames-50x70';
const VIEWS = [
  '/',
  '/works',
  '/works?sort=title',
  '/works?find=salt',
  '/works?sort=sold',
  '/papers',
  '/proofs',
  '/editions',
  '/editions?find=7/11',
  '/orders',
  '/orders?sort=price&page=40',
  '/orders?sort=customer&page=900',
  '/orders?find=orla',
  '/orders?find=salt',
  '/orders?find=gouache',
  '/orders?new=1',
  '/orders?show=open',
  '/orders/25400',
  '/orders/customers',
  '/orders/customers?find=orla',
  '/orders/customers?sort=orders',
  '/materials',
  '/accounts',
  '/log',
  '/settings',
  '/safekeeping',
  '/works/5000/capture',
  '/works/5000/size',
  '/works/5000/prepare',
  '/works/5000/proof',
  '/works/5000/edition',
  '/works/5000/price',
  '/works/5000/finish',
  '/works/5000/pack',
  '/api/find?find=orla',
];

const column = (n: number) => n.toFixed(0).padStart(8);
const megabytesOf = (server: StudioServer) =>
  Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))![1]) /
  1024;

const take = (server: StudioServer, workId: number, path: string) =>
  server.action(
    `/works/${workId}/capture`,
    'src/stations/capture/actions.ts',
    'takeNamedFile',
    { workId: String(workId), path },
  );

const orderPrint = (server: StudioServer, workId: number, ppi: number) =>
  server.action<number[]>(
    `/works/${workId}/prepare`,
    PREPARE,
    'orderPrintFiles',
    printOrder(workId, SIZE, ppi),
  );

/** Jobs that run, or that wait as well. */
const jobs = async (server: StudioServer, states: string) =>
  Number(
    (await server.rows(`SELECT count(*) AS n FROM job WHERE state IN (${states})`))[0]!.n,
  );

/** A server on a new studio of so many works, ended and swept away after. */
async function withStudio(
  home: string,
  works: number,
  ask: (server: StudioServer) => Promise<void>,
): Promise<void> {
  rmSync(home, { recursive: true, force: true });
  mkdirSync(home, { recursive: true });
  const db = await openDatabase(home);
  await fillLargeStudio(db, { works, impressionsEach: 10, ordersEach: 5 });
  // The made-up masters have no files: nothing of them is to be read again at the start.
  await db.write((tx) => tx.run('DELETE FROM job').then(() => undefined));
  db.close();
  const server = new StudioServer(home, 4194);
  await server.start();
  try {
    await ask(server);
  } finally {
    await server.kill();
    rmSync(home, { recursive: true, force: true });
  }
}

/** Highest memory of the whole server, pages and all, after intake, tiles and a print file. */
export async function serverMemory(home: string, picture: string): Promise<number> {
  let megabytes = 0;
  await withStudio(home, 3, async (server) => {
    const ended = async () => {
      while ((await jobs(server, "'queued', 'running'")) > 0)
        await new Promise((r) => setTimeout(r, 250));
    };
    const taken = await take(server, 3, picture);
    if (!taken?.ok) throw new Error(JSON.stringify(taken));
    await ended();
    const ordered = await orderPrint(server, 3, 300);
    if (!ordered?.ok) throw new Error(JSON.stringify(ordered));
    await ended();
    megabytes = megabytesOf(server);
  });
  return megabytes;
}

/** What is asked for while jobs run. */
const LOOKED_AT = ['/', '/works', '/orders', '/api/find?find=orla', '/editions'];

async function timed(url: string): Promise<number> {
  const from = performance.now();
  const answer = await fetch(url);
  await answer.text();
  if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
  return performance.now() - from;
}

/** Views of a studio of ten thousand works, quiet and while two jobs run. */
export const measureServer = (home: string): Promise<void> =>
  withStudio(home, 10_000, async (server) => {
    console.log(
      '\nViews of 10 000 works, 100 000 impressions, 50 000 orders: 40 of each, ms',
    );
    console.log(`${''.padEnd(30)}  median     p95`);
    const all: number[] = [];
    for (const view of VIEWS) {
      await timed(server.url + view);
      const times: number[] = [];
      for (let i = 0; i < 40; i += 1) times.push(await timed(server.url + view));
      all.push(within(times, 0.95));
      console.log(
        `${view.padEnd(30)}${column(within(times, 0.5))}${column(within(times, 0.95))}`,
      );
    }
    console.log(`${'slowest'.padEnd(38)}${column(Math.max(...all))}`);
    await underLoad(server);
  });

async function underLoad(server: StudioServer): Promise<void> {
  const picture = join('/tmp/glassine-bench', '100.tif');
  await writePicture(picture, 100);
  await take(server, 5000, picture);
  for (let i = 0; i < 4; i += 1) {
    const ordered = await orderPrint(server, 5000, 600);
    if (!ordered?.ok) throw new Error(JSON.stringify(ordered));
  }
  const times: number[] = [];
  while (times.length < 300 && (await jobs(server, "'running'")) >= 2) {
    const view = LOOKED_AT[times.length % LOOKED_AT.length]!;
    times.push(await timed(server.url + view));
    await new Promise((r) => setTimeout(r, 20));
  }
  console.log(
    `\nWhile two jobs run, ${times.length} requests: median${column(within(times, 0.5))} ms, p95${column(within(times, 0.95))} ms; highest memory of the server${column(megabytesOf(server))} MB`,
  );
}
