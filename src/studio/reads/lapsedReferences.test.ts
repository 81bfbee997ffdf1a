import { inProcess, MASTER, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { BACK, SENT } from '../../../e2e/support/proofs';
import { plainRecipe } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { addMaster, addPrintFile, currentMaster } from '@/data';
import { loadTable } from '@/drawers/table/view';
import { loadRule } from '@/drawers/works/view';
import { keepRoute } from '@/stations/prepare/handOverActions';
import { judgeProof, sendProof } from '@/stations/proof/actions';
import { loadProof } from '@/stations/proof/view';
import { referenceOf } from './referenceOf';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const ROUTE = {
  ...{ name: 'Pigment desk', kind: 'ownPrinter', folder: '', press: '', bits: '8' },
  ...{ leastPpi: '200', target: 'a98-rgb', format: 'tiff' },
};
const inked = async (inkSet: string) =>
  expect(await keepRoute({ ...ROUTE, inkSet })).toMatchObject({ ok: true });
const sent = async (over: Record<string, string> = {}): Promise<number> => {
  const of = { workId: '1', sizeKey: SIZE, paperId: '1', route: 'Pigment desk' };
  const answer = await sendProof({ ...SENT, ...of, cost: '9', remarks: '', ...over });
  expect(answer).toMatchObject({ ok: true });
  return (answer as { value: number }).value;
};
const approve = async (roundId: number) =>
  expect(
    await judgeProof({
      ...BACK,
      ...{ workId: '1', roundId: String(roundId), seen: 'close', toChange: '' },
      verdict: 'approved',
    }),
  ).toMatchObject({ ok: true });

/** What table, mark and station say. */
async function said() {
  const [{ lines }, rule, { standing }] = await Promise.all([
    loadTable(),
    loadRule('1'),
    loadProof('1', { size: SIZE }),
  ]);
  const table = lines.filter((l) => l.what === 'reference').map((l) => l.why);
  return {
    table,
    mark: rule.marks.proof,
    why: rule.why.proof,
    station: standing?.reasons,
  };
}
const HOLDS = { table: [], mark: 'done', why: undefined, station: [] };
const lapsed = (...reasons: string[]) => ({
  table: [expect.stringContaining(reasons.map((r) => `the ${r}`).join(' and '))],
  mark: 'attention',
  why: expect.stringContaining('no valid reference of'),
  station: reasons.map((r) => r.replace(' set', '')),
});

it('table, mark and station say that a reference holds, or which reason re-opens it', async () => {
  await inked('eight pigments');
  expect(await said()).toMatchObject({ table: [], mark: 'notYet' });
  const first = await sent();
  await approve(first);
  expect(await said()).toEqual(HOLDS);
  await inked('ten pigments');
  expect(await said()).toEqual(lapsed('ink set'));
  await inked('eight pigments');
  expect(await said()).toEqual(HOLDS);
});

it('another master re-opens it; a round that is approved with it closes it, whenever it was sent', async () => {
  const older = await sent();
  const sha256 = 'c'.repeat(64);
  const at = new Date().toISOString();
  const row = { workId: 1, sha256, name: 'anew.tif', assumedSpace: null, at };
  const { facts } = (await currentMaster(here.open.db.read, 1))!;
  // The early rounds did not say by which master they were made.
  await here.rows('DROP TRIGGER proof_round_no_update');
  await here.rows(
    `UPDATE proof_round SET master_id = (SELECT master_id FROM master_now WHERE work_id = 1)`,
  );
  await here.open.db.write((tx) => addMaster(tx, row, { ...MASTER, ...facts }));
  expect((await said()).table).toEqual([expect.stringContaining('the master')]);
  await here.rows(
    `UPDATE proof_round SET master_id = (SELECT master_id FROM master_now WHERE work_id = 1) WHERE id = ${older}`,
  );
  await approve(older);
  expect((await said()).table).toEqual([]);
});

it('a file from before the approval is not held against it, one from after it is; in ink beside it neither', async () => {
  const db = here.open.db;
  const master = (await currentMaster(db.read, 1))!;
  const proofed = plainRecipe(300, 1);
  const other = {
    ...proofed,
    convert: { ...proofed.convert, intent: 'perceptual' as const },
  };
  await here.rows(`UPDATE proof_round SET recipe = '${JSON.stringify({ ...proofed })}'`);
  const file = (name: string, at: string, channels: 3 | 4, recipe: Recipe = other) =>
    db.write((tx) =>
      addPrintFile(tx, {
        ...{
          workId: 1,
          sizeKey: SIZE,
          masterId: master.id,
          version: 1,
          name,
          sha256: name,
        },
        ...{ bytes: 1, width: 1, height: 1, kind: 'print', channels, factor: 1, recipe },
        ...{ recipeId: null, checks: [], at },
      }),
    );
  const held = async () => (await referenceOf(db.read, 1, { sizeKey: SIZE })).why;
  expect(await held()).toBe('');
  await file('before.tif', '2020-01-01T00:00:00.000Z', 3);
  expect((await said()).table).toEqual([]);
  // Who numbers a print of that file is told.
  expect(await held()).toContain('the recipe is another');
  await file('as-approved.tif', '2099-01-01T00:00:00.000Z', 3, proofed);
  await file('in-ink.tif', '2099-01-01T00:00:00.000Z', 4);
  expect([await held(), (await said()).table]).toEqual(['', []]);
  await file('after.tif', '2099-01-02T00:00:00.000Z', 3);
  expect((await said()).table).toEqual([expect.stringContaining('the recipe is another')]);
  expect((await said()).station).toEqual(['recipe']);
});
