import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { keepPrice, reckonPrice } from './actions';
import { startPrice } from './startPrice';
import { loadPrice } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const USUAL = startPrice(undefined, { proofCost: 0, editionSize: 30, currency: 'EUR' });
const typed = (over: Record<string, string> = {}) => ({
  ...USUAL,
  printing: '9',
  paper: '6.40',
  workId: '1',
  sizeKey: SIZE,
  ...over,
});

it('starts from what was kept, else from usual figures and what is known', () => {
  const known = { proofCost: 3850, editionSize: 0, currency: 'EUR' };
  expect(startPrice(undefined, known)).toMatchObject({
    proofs: '38.5',
    expectedImpressions: '10',
    margin: '40',
  });
  expect(startPrice({ margin: '55', step: 3 }, known)).toMatchObject({
    margin: '55',
    step: '1',
  });
  expect(startPrice(undefined, { ...known, currency: 'JPY' }).proofs).toBe('3850');
});

it('keeps the price with everything it was reckoned from, and starts from it again', async () => {
  const reckoned = await reckonPrice(typed({ margin: '50' }));
  if (!reckoned.ok) throw new Error(reckoned.message);
  const { gross, total, fees, net, margin } = reckoned.value;
  expect(total + fees + net).toBe(gross);
  expect(margin).toBeGreaterThanOrEqual(0.5);
  expect(await keepPrice(typed({ margin: '50' }))).toMatchObject({ ok: true });
  const view = await loadPrice('1', { size: SIZE });
  expect(view.set).toMatchObject({ price: gross, net, cost: total });
  expect(view.start.margin).toBe('50');
  expect(view.first).toEqual(reckoned);
  expect(view.ladder).toEqual([expect.objectContaining({ key: SIZE, price: gross })]);
});

it('a further price is a further fact; the last one holds', async () => {
  await keepPrice(typed({ margin: '30' }));
  const [row] = await here.rows<{ n: number }>('SELECT count(*) AS n FROM price');
  expect(row!.n).toBe(2);
  expect((await loadPrice('1', { size: SIZE })).start.margin).toBe('30');
});

it.each([
  [{ margin: '99' }, 'margin'],
  [{ commission: '70', margin: '40' }, 'margin'],
  [{ printing: 'nine' }, 'printing'],
  [{ expectedImpressions: '0' }, 'expectedImpressions'],
  [{ channel: 'the moon' }, 'channel'],
])('finds no price for %j and says why at its field', async (over, field) => {
  const answer = await reckonPrice(typed(over));
  expect(answer).toMatchObject({ ok: false, fields: { [field]: expect.any(String) } });
  expect(await keepPrice(typed(over as Record<string, string>))).toMatchObject({
    ok: false,
  });
});
