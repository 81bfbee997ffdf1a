import { createHash } from 'node:crypto';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { paperProfile } from '../../../../demo/profiles/profiles';
import {
  inProcess,
  startRealWorkers,
  takePicture,
} from '../../../../e2e/support/inProcess';
import type { InProcess } from '../../../../e2e/support/inProcess';
import { samplesBy } from '../../../../e2e/support/master';
import { sheets } from '../../../../e2e/support/paperLots';

import { minor } from '@/core/units';
import { addPaper, addPaperNote, getPaper, receiveLot, takeProfile } from '@/data';
import { storePaths } from '@/engine';
import { bestOf } from './best';
import { loadCompare } from './view';

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
});
afterAll(() => here.end());

/** Keeps a profile as if it had been brought, in use for a paper. */
async function inUse(paperId: number, name: string): Promise<string> {
  const { icc } = paperProfile(name);
  const sha256 = createHash('sha256').update(icc).digest('hex');
  const path = storePaths(here.open.home).file(sha256);
  mkdirSync(join(path, '..'), { recursive: true });
  writeFileSync(path, icc);
  const at = '2026-11-01T10:00:00.000Z';
  const row = `('${sha256}', '${name}', 'prtr', 'RGB', ${icc.length}, '${at}')`;
  await here.open.db.write(async (tx) => {
    await tx.run(
      `INSERT INTO profile (sha256, name, device_class, space, bytes, at) VALUES ${row}`,
    );
    const use = { paperId, printer: '', setting: '', sha256, at };
    await takeProfile(tx, use, { paper: '', profile: name });
  });
  return sha256;
}

it('lays papers side by side, with what is known of each', async () => {
  const { db } = here.open;
  const linen = (await getPaper(db.read, 1))!;
  const { id: _, ...like } = linen;
  const otherId = await db.write((tx) => addPaper(tx, { ...like, name: 'Flax 310' }));
  await db.write(async (tx) => {
    await receiveLot(tx, sheets(1, 10, '2026-11-01T10:00:00.000Z', 594, 841));
    await addPaperNote(tx, {
      paperId: otherId,
      station: 'tried',
      triedFor: '',
      printed: '',
      setting: '',
      words: 'Washes stay light.',
      photograph: null,
      day: '2026-11-01',
      at: '2026-11-01T10:00:00.000Z',
    });
  });
  const sha256 = await inUse(1, 'Slackwater Cotton');
  await takePicture(
    here,
    samplesBy(60, 40, (x, y) => Math.min(65_535, 900 * x + 300 * y)),
  );
  const view = await loadCompare({
    a: '1',
    b: String(otherId),
    work: String(here.workId),
    size: 'isoA-A3',
  });
  expect(view.papers.map((p) => p.name)).toEqual([linen.name, 'Flax 310']);
  const [one, other] = view.papers;
  expect(one!.profile!.sha256).toBe(sha256);
  expect(one!.portrait!.white[0]).toBeGreaterThan(85);
  expect(one!.portrait!.black[0]).toBeLessThan(40);
  expect(one!.portrait!.volume).toBeGreaterThan(50_000);
  // Four A3 to a sheet of 400 minor units.
  expect(one!.cost).toMatchObject({ amount: 100, from: 'lot' });
  expect(other).toMatchObject({ profile: null, portrait: null });
  expect(other!.said).toEqual([{ day: '2026-11-01', words: 'Washes stay light.' }]);
  expect(view.picture).toMatchObject({ width: 60, height: 40 });
});

it('says which is best only where that can be told', () => {
  const paper = (id: number, black: number | null, amount: number, currency = 'EUR') => ({
    id,
    portrait:
      black === null
        ? null
        : {
            white: [95, 0, 2] as [number, number, number],
            black: [black, 0, 0] as [number, number, number],
            volume: 1000 * black,
          },
    cost: { amount: minor(amount), currency, from: 'sheet' as const },
  });
  expect(bestOf([paper(1, 16, 300), paper(2, 3, 200)])).toEqual({
    black: 2,
    gamut: 1,
    cost: 2,
  });
  expect(bestOf([paper(1, 16, 300), paper(2, null, 300, 'GBP')])).toEqual({
    black: null,
    gamut: null,
    cost: null,
  });
  expect(bestOf([paper(1, 16, 300), paper(2, 16, 300)])).toEqual({
    black: null,
    gamut: null,
    cost: null,
  });
});
