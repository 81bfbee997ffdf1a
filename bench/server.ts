import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { openDatabase } from '@/data';
import { StudioServer } from '../e2e/support/studioServer';
import { fillLargeStudio } from './largeStudio';
import { writePicture } from './picture';

const SIZE = 'metricFrames-50x70';
const VIEWS = [
  '/',
  '/works',
  '/works?sort=title',
  '/works?find=salt',
  '/papers',
  '/proofs',
  '/editions',
  '/editions?find=7/11',
  '/orders',
  '/orders?sort=price&page=40',
  '/orders?find=orla',
  '/orders?new=1',
  '/accounts',
  '/log',
  '/settings',
  '/safekeeping',
  '/works/500/capture',
  '/works/500/size',
  '/works/500/prepare',
  '/works/500/proof',
  '/works/500/edition',
  '/works/500/price',
  '/works/500/finish',
  '/works/500/pack',
  '/api/find?find=orla',
];

const p95 = (times: number[]) =>
  [...times].sort((a, b) => a - b)[
    Math.min(times.length - 1, Math.floor(times.length * 0.95))
  ]!;

async function timed(url: string): Promise<number> {
  const from = performance.now();
  const answer = await fetch(url);
  await answer.text();
  if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
  return performance.now() - from;
}

/** Views of a studio of a thousand works, quiet and while two jobs run. */
export async function measureServer(home: string): Promise<void> {
  rmSync(home, { recursive: true, force: true });
  mkdirSync(home, { recursive: true });
  const db = await openDatabase(home);
  await fillLargeStudio(db, { works: 1000, impressionsEach: 10, ordersEach: 5 });
  db.close();
  const server = new StudioServer(home, 4194);
  await server.start();
  try {
    console.log('\nViews of 1000 works, 10 000 impressions, 5000 orders: p95 of 20, ms');
    const all: number[] = [];
    for (const view of VIEWS) {
      await timed(server.url + view);
      const times: number[] = [];
      for (let i = 0; i < 20; i += 1) times.push(await timed(server.url + view));
      all.push(p95(times));
      console.log(`${view.padEnd(30)} ${p95(times).toFixed(0).padStart(5)}`);
    }
    console.log(
      `${'slowest'.padEnd(30)} ${Math.max(...all)
        .toFixed(0)
        .padStart(5)}`,
    );
    await underLoad(server);
  } finally {
    await server.kill();
    rmSync(home, { recursive: true, force: true });
  }
}

async function underLoad(server: StudioServer): Promise<void> {
  const picture = join('/tmp/glassine-bench', '100.tif');
  await writePicture(picture, 100);

  await server.action(
    '/works/500/capture',
    'src/stations/capture/actions.ts',
    'takeNamedFile',
    {
      workId: '500',
      path: picture,
    },
  );
  const order = () =>
    server.action<number>(
      '/works/500/prepare',
      'src/stations/prepare/actions.ts',
      'orderPrintFile',
      {
        workId: '500',
        sizeKey: SIZE,
        ppi: '600',
        amount: '60',
        radius: '0.8',
        threshold: '2',
        space: 'srgb',
        intent: 'relative',
      },
    );
  const orders = [await order(), await order(), await order(), await order()];
  for (const o of orders) if (!o?.ok) throw new Error(JSON.stringify(o));
  const busy = async () =>
    Number(
      (await server.rows("SELECT count(*) AS n FROM job WHERE state = 'running'"))[0]!.n,
    );
  const times: number[] = [];
  while (times.length < 300 && (await busy()) >= 2) {
    const view = ['/', '/works', '/orders', '/api/find?find=orla', '/editions'][
      times.length % 5
    ]!;
    times.push(await timed(server.url + view));
    await new Promise((r) => setTimeout(r, 20));
  }
  const memory = /VmHWM:\s+(\d+)/.exec(
    readFileSync(`/proc/${server.pid}/status`, 'utf8'),
  )![1];
  console.log(
    `\nWhile two jobs run: p95 of ${times.length} requests ${p95(times).toFixed(0)} ms, median ${[...times].sort((a, b) => a - b)[times.length >> 1]!.toFixed(0)} ms; highest memory of the server ${(Number(memory) / 1024).toFixed(0)} MB`,
  );
}
