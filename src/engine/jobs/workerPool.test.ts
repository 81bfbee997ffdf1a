import { Worker } from 'node:worker_threads';
import { FileRefusal } from '../fileRefusal';
import { Cancelled, WorkerPool } from './workerPool';

/** A thread that keeps the pool's protocol: what it does is said in the task's path. */
const SOURCE = `
  const { parentPort, threadId } = require('node:worker_threads');
  parentPort.on('message', ({ input }) => {
    const say = (word) => parentPort.postMessage(word);
    if (input.path === 'die') process.exit(3);
    if (input.path === 'throw') throw new Error('thrown aside');
    if (input.path === 'hang') return;
    if (input.path === 'refuse') return say({ kind: 'failed', message: 'x', refused: { code: 'cmyk' } });
    if (input.path === 'full') return say({ kind: 'failed', message: 'no room', code: 'ENOSPC' });
    say({ kind: 'progress', stage: 'at it', share: 0.5 });
    setTimeout(() => say({ kind: 'done', result: input.path + ' by ' + threadId }), 20);
  });
`;
let started = 0;
const pools: WorkerPool[] = [];
function pool(size: number) {
  started = 0;
  const made = new WorkerPool(size, () => {
    started += 1;
    return new Worker(SOURCE, { eval: true });
  });
  pools.push(made);
  return made;
}
afterEach(() => Promise.all(pools.splice(0).map((p) => p.close())));

const run = (p: WorkerPool, path: string, signal = new AbortController().signal) =>
  p.run('hash', { path }, () => undefined, signal);

it('keeps its threads, runs no more than its size at once, and serves all that wait', async () => {
  const p = pool(2);
  const results = await Promise.all(['a', 'b', 'c', 'd', 'e'].map((path) => run(p, path)));
  expect(started).toBe(2);
  expect(results.map((r) => r[0])).toEqual(['a', 'b', 'c', 'd', 'e']);
  expect(new Set(results.map((r) => r.split(' by ')[1])).size).toBe(2);
});

it('hands progress on', async () => {
  const seen: [string, number][] = [];
  const say = (stage: string, share: number) => seen.push([stage, share]);
  await pool(1).run('hash', { path: 'a' }, say, new AbortController().signal);
  expect(seen).toEqual([['at it', 0.5]]);
});

it('ends a thread whose work is stopped, and goes on with another', async () => {
  const p = pool(1);
  const stop = new AbortController();
  const hung = run(p, 'hang', stop.signal);
  const waiting = run(p, 'after', stop.signal);
  const later = run(p, 'later');
  stop.abort();
  await expect(hung).rejects.toBeInstanceOf(Cancelled);
  await expect(waiting).rejects.toBeInstanceOf(Cancelled);
  expect(await later).toMatch(/^later/);
  expect(started).toBe(2);
});

it('says when a thread died, and is not hurt by it', async () => {
  const p = pool(1);
  await expect(run(p, 'die')).rejects.toThrow('ended with 3');
  await expect(run(p, 'throw')).rejects.toThrow('thrown aside');
  expect(await run(p, 'well')).toMatch(/^well/);
});

it('carries a refusal and the system’s code over the thread', async () => {
  const p = pool(1);
  const refused = await run(p, 'refuse').catch((e: unknown) => e);
  expect(refused).toBeInstanceOf(FileRefusal);
  expect((refused as FileRefusal).refused).toEqual({ code: 'cmyk' });
  await expect(run(p, 'full')).rejects.toMatchObject({
    code: 'ENOSPC',
    message: 'no room',
  });
});
