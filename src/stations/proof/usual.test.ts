import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { STEPS, plainRecipe, stepIn } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import {
  addPrintFile,
  addProofReturn,
  addProofRound,
  currentMaster,
  getRecipe,
} from '@/data';
import { keepUsual } from './usualActions';
import { loadProof } from './view';
import { usualWords } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const at = '2026-11-01T10:00:00.000Z';
const plain = plainRecipe(300, 1);
const lighter = (lightness: number): Recipe => ({
  ...plain,
  steps: [
    { ...STEPS.adjust.usual({ ppi: 300, radius: 1 }), on: true, lightness },
    ...plain.steps.filter((s) => s.kind !== 'adjust'),
  ],
});

/** A further work, whose first round was changed to the one that was approved. */
async function approved(from: Recipe, to: Recipe): Promise<void> {
  const columns =
    'artist, year, kind, medium, width_mm, height_mm, price_minor, currency, created_at';
  await here.rows(
    `INSERT INTO work (title, ${columns}) SELECT title || ' again', ${columns} FROM work WHERE id = 1`,
  );
  const [row] = await here.rows<{ id: number }>('SELECT max(id) AS id FROM work');
  await here.open.db.write(async (tx) => {
    for (const [i, recipe] of [from, to].entries()) {
      const round = {
        ...{
          workId: row!.id,
          sizeKey: SIZE,
          paperId: 1,
          round: i + 1,
          route: 'own printer',
        },
        ...{
          printFileId: null,
          cost: 0 as never,
          currency: 'EUR',
          remarks: '',
          sentAt: at,
        },
        recipe,
      };
      const roundId = await addProofRound(tx, round);
      const verdict = i === 0 ? 'changeAndRepeat' : 'approved';
      const toChange = i === 0 ? 'open the shadows.' : '';
      await addProofReturn(tx, { roundId, seen: '', toChange, verdict, backAt: at }, round);
    }
  });
}
const usual = async () => (await loadProof('1', { size: SIZE, sheet: 'rounds' })).usual;
const keep = () => keepUsual({ workId: '1', paperId: '1', sizeKey: SIZE });

it('what other works on a paper needed is offered before the first round, and taken with one press', async () => {
  expect(await usual()).toBeNull();
  expect(await keep()).toMatchObject({ ok: false });
  await approved(lighter(0), lighter(4));
  expect((await usual())!.changed.changes).toEqual([]);
  await approved(lighter(2), lighter(4));
  const found = (await usual())!;
  expect(found.notes).toEqual(['open the shadows', 'open the shadows']);
  const format = { number: (v: number, digits = 0) => v.toFixed(digits) };
  expect(usualWords(found, format)).toBe(
    `Your last 2 works on ${found.paper} were changed before they were approved: lightness +3 (2 of 2).`,
  );
  expect(await keep()).toMatchObject({
    ok: false,
    message: expect.stringMatching(/no print file of this size yet. Write one at Prepare/),
  });
  const master = (await currentMaster(here.open.db.read, 1))!;
  await here.open.db.write((tx) =>
    addPrintFile(tx, {
      ...{ workId: 1, sizeKey: SIZE, masterId: master.id, version: 1, name: 'a.tif' },
      ...{ sha256: 'f', bytes: 1, width: 1, height: 1, kind: 'print', channels: 3 },
      ...{ factor: 1, recipe: lighter(1), recipeId: null, checks: [], at },
    }),
  );
  const kept = (await keep()) as { ok: true; value: number };
  const recipe = (await getRecipe(here.open.db.read, kept.value))!;
  expect(stepIn(recipe.recipe, 'adjust')).toMatchObject({ lightness: 4 });
  expect(recipe.name).toContain('as usual on');
  expect(recipe.remarks).toContain('lightness +3 (2 of 2)');
});
