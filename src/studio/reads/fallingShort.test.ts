import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SIZE_RULES } from '@/core/size';
import { openDatabase } from '@/data';
import type { OpenDatabase } from '@/data';
import { fillLargeStudio } from '../../../bench/largeStudio';
import { FallingShort } from './fallingShort';

let home: string;
let db: OpenDatabase;
beforeAll(async () => {
  home = mkdtempSync(join(tmpdir(), 'short-'));
  db = await openDatabase(home);
  await fillLargeStudio(db, { works: 250, impressionsEach: 1, ordersEach: 1 });
});
afterAll(() => {
  db.close();
  rmSync(home, { recursive: true });
});

const FOREVER = 60_000;
const strict = {
  size: { ...SIZE_RULES, askSmallPpi: 2400, askLargePpi: 2400, printPpi: 2400 },
};

it('judges all that is on offer once, and then only what was written about', async () => {
  const judge = new FallingShort();
  const first = await judge.upTo(db.read, { size: SIZE_RULES }, FOREVER);
  expect(first.waiting).toBe(0);
  const before = first.found.filter((s) => s.workId === 7);
  const small = '7'.repeat(64);
  await db.write(async (tx) => {
    await tx.run(`INSERT INTO file (sha256, bytes, format, width_px, height_px, bits, channels, colour_model, orientation, stored_at)
      SELECT '${small}', bytes, format, 300, 400, bits, channels, colour_model, orientation, stored_at FROM file LIMIT 1`);
    await tx.run(
      `INSERT INTO master (work_id, sha256, name, at) SELECT 7, '${small}', 'small.tif', at FROM master LIMIT 1`,
    );
  });
  const after = await judge.upTo(db.read, { size: SIZE_RULES }, FOREVER);
  expect(after.found.filter((s) => s.workId === 7).length).toBeGreaterThan(before.length);
  expect(after.found.filter((s) => s.workId !== 7)).toEqual(
    first.found.filter((s) => s.workId !== 7),
  );
  // The same as one that begins anew.
  const anew = await new FallingShort().upTo(db.read, { size: SIZE_RULES }, FOREVER);
  expect(after).toEqual(anew);
});

it('other rules of thumb judge all of it anew', async () => {
  const judge = new FallingShort();
  const mild = await judge.upTo(db.read, { size: SIZE_RULES }, FOREVER);
  const hard = await judge.upTo(db.read, strict, FOREVER);
  expect(hard.found.length).toBeGreaterThan(mild.found.length);
  expect(await judge.upTo(db.read, { size: SIZE_RULES }, FOREVER)).toEqual(mild);
});

it('asked before it is through, it says how many works are still to be judged', async () => {
  const judge = new FallingShort();
  const early = await judge.upTo(db.read, strict, 0);
  expect(early.waiting).toBeGreaterThan(0);
  const late = await judge.upTo(db.read, strict, FOREVER);
  expect(late.waiting).toBe(0);
  expect(late.found.length).toBeGreaterThan(early.found.length);
});

it('asked under other rules while it is at work, it answers for those', async () => {
  const judge = new FallingShort();
  expect((await judge.upTo(db.read, { size: SIZE_RULES }, 0)).waiting).toBeGreaterThan(0);
  const hard = await judge.upTo(db.read, strict, FOREVER);
  expect(hard).toEqual(await new FallingShort().upTo(db.read, strict, FOREVER));
});
