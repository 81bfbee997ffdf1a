import {
  SIZE,
  endRealWorkers,
  idle,
  inProcess,
  startRealWorkers,
  takePicture,
} from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { samplesBy } from '../../../e2e/support/master';
import { GET } from '@/app/api/rule-change/[id]/route';
import { plainRecipe } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import type { PrintDifference } from '@/engine';
import { ruleReports } from '@/studio';
import type { RuleReport } from '@/studio';
import { orderPrintFiles } from './actions';
import { loadPrepare } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const PPI = 72;
let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
  // Hatching, so that reducing it darkens it by the rule of before.
  const lines = (_: number, y: number) => (y % 2 === 0 ? 6000 : 60000);
  await takePicture(here, samplesBy(1200, 1600, lines));
});
afterAll(async () => {
  await here.end();
  await endRealWorkers();
});

const before: Recipe = { ...plainRecipe(PPI, 0.8), rule: 1 };

async function asked(over: Record<string, string> = {}) {
  const { size = SIZE, recipe = JSON.stringify(before), work = '1' } = over;
  const query = new URLSearchParams({ size, recipe });
  const answer = await GET(
    new Request(`http://127.0.0.1/api/rule-change/${work}?${query}`),
    {
      params: Promise.resolve({ id: work }),
    },
  );
  return {
    status: answer.status,
    body: (await answer.json()) as { ok: boolean; message: string; value: PrintDifference },
  };
}

it('says how far a size printed by the rule of before is from the rule of now', async () => {
  const { status, body } = await asked();
  expect([status, body.ok]).toEqual([200, true]);
  expect(body.value.mean).toBeGreaterThan(8);
  expect(body.value.most).toBeGreaterThanOrEqual(body.value.p95);
  expect(body.value.pixels).toBeGreaterThan(10000);
});

it.each([
  ['another work', { work: '77' }, /no master/],
  ['no work at all', { work: 'x' }, /Work/],
  ['a size that is not on offer', { size: 'zzz' }, /not on offer/],
  ['something that is no recipe', { recipe: '{"steps":[]}' }, /Recipe/],
  ['a recipe that cannot be', { recipe: JSON.stringify({ ...before, rule: 3 }) }, /Recipe/],
])('of %s it says what is wrong', async (_, over, wanted) => {
  const { status, body } = await asked(over);
  expect([status, body.ok]).toEqual([400, false]);
  expect(body.message).toMatch(wanted);
});

it('a file of the rule of before is made again by it, and the command line tells of it', async () => {
  const order = (recipe: Recipe) =>
    orderPrintFiles({
      workId: '1',
      sizeKeys: JSON.stringify([SIZE]),
      recipe: JSON.stringify(recipe),
      recipeId: '',
      pair: '',
    });
  const reports = async () => {
    const found: RuleReport[] = [];
    for await (const report of ruleReports(here.open, new AbortController().signal))
      found.push(report);
    return found;
  };
  expect(await order(before)).toMatchObject({ ok: true });
  await idle(here.open);
  const { files } = await loadPrepare('1', { size: SIZE });
  expect(files[0]!.recipe.rule).toBe(1);
  const [report] = await reports();
  expect(report).toMatchObject({ file: files[0]!.name, work: 1, size: SIZE, rule: 1 });
  expect((report as PrintDifference).mean).toBeCloseTo((await asked()).body.value.mean, 6);

  // Once the rule of now is taken, there is nothing to tell.
  expect(await order({ ...before, rule: 2 })).toMatchObject({ ok: true });
  await idle(here.open);
  const now = (await loadPrepare('1', { size: SIZE })).files[0]!;
  expect(now.recipe.rule).toBe(2);
  expect(now.checks.filter((c) => !c.passed)).toEqual([]);
  expect(await reports()).toEqual([]);
});
