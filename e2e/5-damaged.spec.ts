import { readFileSync, rmSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import {
  bombs,
  chance,
  damage,
  pictureWithProfile,
  wholeList,
  wholePictures,
  wholeProfile,
} from './support/damage';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-damaged';
const PICTURES = 700;
const PROFILES = 180;
const LISTS = 180;
const AT_ONCE = 4;
/** Resident memory of the whole server at its highest, while it is fed this. */
const MOST_KB = 1_200_000;

let server: StudioServer;
let workId: number;

test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  ({ workId } = await seedStudio(HOME, { editionOf: 5, numbered: 1, orders: 1 }));
  server = new StudioServer(HOME, 4195, { GLASSINE_MAX_MEGAPIXELS: '200' });
  await server.start();
});
test.afterAll(() => server.kill());

interface Fed {
  name: string;
  status: number;
  message: string;
}

async function feed(name: string, data: Buffer): Promise<Fed> {
  const answer = await fetch(
    `${server.url}/api/masters?work=${workId}&name=${encodeURIComponent(name)}`,
    { method: 'PUT', body: new Uint8Array(data), signal: AbortSignal.timeout(300_000) },
  );
  const { message = '' } = (await answer.json()) as { message?: string };
  return { name, status: answer.status, message };
}

/** Feeds all, some at a time; answers in order. */
async function feedAll(files: { name: string; data: Buffer }[]): Promise<Fed[]> {
  const fed: Fed[] = [];
  let next = 0;
  const lane = async () => {
    for (let i = next++; i < files.length; i = next++)
      fed[i] = await feed(files[i]!.name, files[i]!.data);
  };
  await Promise.all(Array.from({ length: AT_ONCE }, lane));
  return fed;
}

/** Taken in, or refused in a sentence of our own that names the file. */
function expectAnswers(fed: Fed[]): void {
  const bad = fed.filter(
    (f) =>
      f.status !== 201 &&
      !(
        f.status === 422 &&
        f.message.startsWith(`${f.name}: `) &&
        f.message.length < 400 &&
        !/undefined|\[object|\/tmp\/|did not arrive whole/.test(f.message)
      ),
  );
  expect(bad).toEqual([]);
}

const highest = () =>
  Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))![1]);

test(`${PICTURES} damaged pictures: each is read or refused in words`, async () => {
  test.setTimeout(1_200_000);
  const whole = await wholePictures();
  const luck = chance(1);
  const files = Array.from({ length: PICTURES }, (_, i) => {
    const { name, data } = whole[i % whole.length]!;
    return { name: `${i}-${name}`, data: damage(data, luck) };
  });
  const fed = await feedAll(files);
  expectAnswers(fed);
  // Damage that hurts nothing is let through, damage that does is not: both happened.
  expect(fed.filter((f) => f.status === 201).length).toBeGreaterThan(50);
  expect(fed.filter((f) => f.status === 422).length).toBeGreaterThan(200);
});

test(`${PROFILES} damaged profiles: none is trusted, none does harm`, async () => {
  test.setTimeout(1_200_000);
  const luck = chance(2);
  const profile = wholeProfile();
  const files: { name: string; data: Buffer }[] = [];
  for (let i = 0; i < PROFILES; i += 1)
    files.push({
      name: `profile-${i}.png`,
      data: await pictureWithProfile(i === 0 ? profile : damage(profile, luck)),
    });
  const fed = await feedAll(files);
  expectAnswers(fed);
  expect(fed[0]!.status).toBe(201);
  const [row] = await server.rows(
    "SELECT count(*) AS n FROM file WHERE icc_description = 'Display P3'",
  );
  expect(Number(row!.n)).toBeGreaterThan(0);
});

test('what claims to be enormous is refused before it is unpacked', async () => {
  const before = highest();
  const fed = await feedAll(bombs());
  expectAnswers(fed);
  expect(fed.map((f) => f.status)).toEqual([422, 422, 422]);
  expect(highest() - before).toBeLessThan(300_000);
});

test(`${LISTS} damaged lists: taken whole or not at all, in words`, async () => {
  test.setTimeout(1_200_000);
  const luck = chance(3);
  const count = async () =>
    Number((await server.rows('SELECT count(*) AS n FROM paper'))[0]!.n);
  let taken = 0;
  for (let i = 0; i < LISTS; i += 1) {
    const list = damage(Buffer.from(wholeList(i)), luck).toString('latin1');
    const before = await count();
    const answer = await server.action<number>(
      '/papers',
      'src/drawers/papers/actions.ts',
      'bringPapers',
      { list },
    );
    expect(answer).not.toBeNull();
    if (answer!.ok) taken += 1;
    else
      expect(answer!.message).toMatch(
        /^(Line \d+: |The list |This cannot be read as a list: |List: )/,
      );
    expect(await count()).toBe(before + (answer!.ok ? answer!.value : 0));
  }
  // Few: a head that is damaged is refused with all that stands under it.
  expect(taken).toBeGreaterThan(2);
  expect(taken).toBeLessThan(LISTS - 20);
});

test('after all of it the server is well and has not swollen', async () => {
  test.setTimeout(1_200_000);
  await expect
    .poll(
      async () =>
        Number(
          (
            await server.rows(
              "SELECT count(*) AS n FROM job WHERE state IN ('queued', 'running')",
            )
          )[0]!.n,
        ),
      { timeout: 600_000 },
    )
    .toBe(0);
  expect((await fetch(`${server.url}/works`)).status).toBe(200);
  expect(highest()).toBeLessThan(MOST_KB);
  const { data } = (await wholePictures())[0]!;
  expect((await feed('whole.tif', data)).status).toBe(201);
});
