import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { expect, test } from '@playwright/test';
import { checkLedger, openDatabase } from '@/data';
import { unpackArchive } from '@/engine/store/archive';
import { writeMaster } from './fixtures';
import { PACK, PREPARE, flatParts, parcelOf, printOrder } from './support/errands';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-killed';
const ROUNDS = 30;
const ORDERS = 14;
const SIZE = 'metricFrames-30x40';
const EDITION = 'src/stations/edition/actions.ts';
const SAFE = 'src/drawers/safekeeping/actions.ts';

/** Moments are random, but the same in every run. */
function chance(seed: number) {
  let s = seed;
  return () => {
    s = (Math.imul(s, 1664525) + 1013904223) >>> 0;
    return s / 2 ** 32;
  };
}

const sha256 = (path: string) =>
  createHash('sha256').update(readFileSync(path)).digest('hex');
const filesIn = (folder: string): string[] =>
  existsSync(join(HOME, folder))
    ? readdirSync(join(HOME, folder), { recursive: true, encoding: 'utf8' })
    : [];

/** What the server has said yes to, and so may never be lost. */
const acknowledged = {
  masters: new Map<string, string>(),
  numbers: [] as string[],
  /** Steps of packing: order, step, what was typed. */
  steps: new Set<string>(),
};

/** Two counts of each of six parts, weighed, sealed, shipped. */
const STEPS_OF_ORDER = 2 * 6 + 3;
const acknowledgedSoFar = () => acknowledged.numbers.length + acknowledged.steps.size;
const pause = (ms: number) =>
  new Promise<false>((done) => setTimeout(() => done(false), ms));

const stepsNamed = (name: string) =>
  [...acknowledged.steps].map((s) => s.split(' ')).filter(([, step]) => step === name);

let server: StudioServer;
let seeded: Awaited<ReturnType<typeof seedStudio>>;

test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  seeded = await seedStudio(HOME, { editionOf: 20_000, numbered: ORDERS, orders: ORDERS });
  server = new StudioServer(HOME, 4198);
});
test.afterAll(() => server.kill());

const call = <T>(
  station: string,
  file: string,
  name: string,
  typed: Record<string, string>,
) => server.action<T>(`/works/${seeded.workId}/${station}`, file, name, typed);

async function upload(path: string, name: string): Promise<void> {
  const bytes = readFileSync(path);
  const body = Readable.toWeb(Readable.from(slices(bytes))) as unknown as BodyInit;
  const answer = await fetch(
    `${server.url}/api/masters?work=${seeded.workId}&name=${name}`,
    { method: 'PUT', body, duplex: 'half' } as RequestInit,
  ).catch(() => null);
  if (answer?.status === 201)
    acknowledged.masters.set(createHash('sha256').update(bytes).digest('hex'), name);
}

function* slices(bytes: Buffer): Generator<Buffer> {
  for (let at = 0; at < bytes.length; at += 65536) yield bytes.subarray(at, at + 65536);
}

const orderPrint = () =>
  call('prepare', PREPARE, 'orderPrintFiles', printOrder(seeded.workId, SIZE));

async function number(): Promise<void> {
  for (let i = 0; i < 60; i += 1) {
    const answer = await call<string>('edition', EDITION, 'assign', {
      editionId: String(seeded.editionId),
      sizeKey: SIZE,
      series: 'number',
      overruled: 'a test without proofs',
      requested: '',
    });
    if (answer === null) return;
    if (answer.ok) acknowledged.numbers.push(answer.value);
  }
}

/** Counts, weighs, seals and ships one order after the other, each step once. */
async function pack(): Promise<void> {
  const step = async (order: string, name: string, typed: Record<string, string>) => {
    const key = `${order} ${name} ${JSON.stringify(typed)}`;
    if (acknowledged.steps.has(key)) return true;
    const answer = await server.action(`/orders/${order}`, PACK, name, { order, ...typed });
    if (answer?.ok) acknowledged.steps.add(key);
    return answer !== null;
  };
  for (const order of seeded.orderNumbers) {
    const { parcel, line } = await parcelOf(server, order);
    const own = { parcel: String(parcel) };
    const parts = await flatParts(server, line);
    for (const count of ['first', 'second'])
      for (const part of parts)
        if (!(await step(order, 'tickPart', { ...own, part, count, on: 'yes' }))) return;
    if (!(await step(order, 'weigh', { ...own, grams: '' }))) return;
    const label = { carrier: 'Lantern Post', service: 'flat, tracked', cost: '500' };
    if (!(await step(order, 'seal', { ...own, ...label }))) return;
    if (!(await step(order, 'ship', own))) return;
  }
}

/** Everything that must hold whenever the server is up again. */
async function verify(): Promise<void> {
  const db = await openDatabase(HOME);
  try {
    expect((await checkLedger(db.read)).sound).toBe(true);
  } finally {
    db.close();
  }
  // Nothing acknowledged is lost, and no number was given twice.
  const numbers = await server.rows(
    "SELECT number || '/20000' AS label, count(*) AS n FROM ledger WHERE kind = 'assigned' GROUP BY number",
  );
  expect(numbers.filter((r) => r.n !== 1)).toEqual([]);
  const given = new Set(numbers.map((r) => r.label));
  expect(acknowledged.numbers.filter((label) => !given.has(label))).toEqual([]);
  const masters = new Set(
    (await server.rows('SELECT sha256 FROM master')).map((r) => r.sha256),
  );
  for (const hash of acknowledged.masters.keys()) expect(masters).toContain(hash);
  const states = await server.rows(
    'SELECT o.number AS number, n.unsealed = 0 AS sealed, n.shipped_at AS shipped FROM orders o JOIN order_now n ON n.order_id = o.id',
  );
  for (const [order] of stepsNamed('seal'))
    expect(states.find((s) => s.number === order)?.sealed).toBe(1);
  for (const [order] of stepsNamed('ship'))
    expect(states.find((s) => s.number === order)?.shipped).not.toBeNull();
  const [ticks] = await server.rows(
    "SELECT count(*) AS n FROM order_event WHERE kind = 'tick'",
  );
  expect(Number(ticks!.n)).toBeGreaterThanOrEqual(stepsNamed('tickPart').length);
  // Nothing half-made is visible: every file a fact names is there, whole.
  const named = await server.rows(
    'SELECT sha256 FROM file UNION SELECT sha256 FROM print_file UNION SELECT sha256 FROM document',
  );
  for (const { sha256: hash } of named as unknown as { sha256: string }[])
    expect(sha256(join(HOME, 'files', hash.slice(0, 2), hash))).toBe(hash);
  const documents = await server.rows(
    'SELECT order_id, count(*) AS n FROM document GROUP BY order_id HAVING n <> 3',
  );
  expect(documents).toEqual([]);
  expect(
    await server.rows(
      'SELECT parcel_id FROM sealed_parcel GROUP BY parcel_id HAVING count(*) > 1',
    ),
  ).toEqual([]);
  // No booking without its parcel, here or at the carrier.
  const left =
    'SELECT id FROM booking WHERE id NOT IN (SELECT booking_id FROM booking_event)';
  expect(await server.rows(left)).toEqual([]);
  const sealed = await server.rows('SELECT id FROM sealed_parcel');
  expect(filesIn('carrier-books').filter((f) => f.endsWith('.json'))).toHaveLength(
    sealed.length,
  );
  // What stands now follows from the facts.
  expect(
    await server.rows(
      'SELECT ref FROM stock_now s WHERE pieces <> (SELECT sum(pieces) FROM movement m WHERE m.of = s.of AND m.ref = s.ref)',
    ),
  ).toEqual([]);
  // Backups appear whole or not at all.
  for (const name of filesIn('backups')) expect(name).toMatch(/^glassine-[\d-]+\.zip$/);
}

/** After a start: jobs that were cut off say so, and what they left is swept. */
async function verifySwept(): Promise<void> {
  expect(filesIn('tmp')).toEqual([]);
  const jobs = await server.rows('SELECT kind, state, spec FROM job');
  expect(jobs.filter((j) => j.state === 'running' || j.state === 'queued')).toEqual([]);
  const wanted = jobs
    .filter((j) => j.kind === 'intake' && j.state === 'cutOff')
    .map((j) => (JSON.parse(j.spec as string) as { arrival: string }).arrival);
  for (const name of filesIn('arrivals')) expect(wanted).toContain(name);
}

test(`killed ${ROUNDS} times at random, it loses nothing and shows nothing half-made`, async () => {
  test.setTimeout(1_800_000);
  const random = chance(20261124);
  const paths: string[] = [];
  for (let i = 0; i < 8; i += 1)
    paths.push(await writeMaster(`killed-${i}.tif`, 1500 + i * 40, 2000));
  await server.start();
  await upload(paths[0]!, 'killed-0.tif');
  expect(acknowledged.masters.size).toBe(1);
  const kinds = ['upload', 'job', 'number', 'pack', 'backup'] as const;
  const seen: Record<string, number> = {};
  for (let round = 0; round < ROUNDS; round += 1) {
    const kind = kinds[round % kinds.length]!;
    const longest = { upload: 900, job: 1500, backup: 700, number: 0, pack: 0 }[kind];
    const saidYes = acknowledgedSoFar();
    let work: Promise<unknown>;
    if (kind === 'upload') {
      const i = 1 + (Math.floor(round / kinds.length) % 7);
      work = upload(paths[i]!, `killed-${i}.tif`);
    } else if (kind === 'job') work = orderPrint();
    else if (kind === 'number') work = number();
    else if (kind === 'pack') work = pack();
    else work = server.action('/safekeeping', SAFE, 'makeBackup', {});
    // Numbers and steps come one by one: killed shortly after some of them, however slow
    // the machine is. The others at any moment from their start, every other job only
    // after its order was taken.
    const some = kind === 'number' ? 8 : kind === 'pack' ? STEPS_OF_ORDER + 1 : 0;
    const goal = saidYes + Math.ceil(random() * some);
    const ended = work.then(() => true);
    while (acknowledgedSoFar() < goal) if (await Promise.race([ended, pause(2)])) break;
    if (kind === 'job' && round % 2 === 0) await work;
    await pause(some > 0 ? random() * 200 : 30 + random() * longest);
    await server.kill();
    await work;
    seen[kind] = (seen[kind] ?? 0) + 1;
    await server.start();
    await verifySwept();
    await verify();
  }
  expect(Object.values(seen)).toEqual([6, 6, 6, 6, 6]);
  // It was at work in every one of these when it was killed, at least sometimes.
  expect(acknowledged.numbers.length).toBeGreaterThan(10);
  expect(stepsNamed('ship').length).toBeGreaterThan(0);
  const cutOff = await server.rows("SELECT DISTINCT kind FROM job WHERE state = 'cutOff'");
  expect(cutOff.length).toBeGreaterThan(0);

  // One press runs what was cut off again.
  const [cut] = await server.rows(
    "SELECT id FROM job WHERE state = 'cutOff' AND kind = 'printFile' ORDER BY id DESC",
  );
  if (cut) {
    const again = await fetch(`${server.url}/api/jobs/${Number(cut.id)}`, {
      method: 'POST',
    });
    expect(again.status).toBe(201);
    const { id } = (await again.json()) as { id: number };
    await expect
      .poll(
        async () => (await server.rows(`SELECT state FROM job WHERE id = ${id}`))[0]?.state,
        { timeout: 300_000 },
      )
      .toBe('done');
  }

  // Every backup that is there can be restored, each file with its hash.
  const silent = () => undefined;
  for (const [i, name] of filesIn('backups').entries()) {
    const folder = join(HOME, `unpacked-${i}`);
    const { files } = await unpackArchive(
      { archive: join(HOME, 'backups', name), folder },
      silent,
    );
    expect(files.length).toBeGreaterThan(1);
    rmSync(folder, { recursive: true });
  }
});
