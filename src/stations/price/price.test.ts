import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { reckonPrice, startPrice } from '@/core/price';
import { minor } from '@/core/units';
import { addPriceList, addProofRound, readSettings, saveSettings } from '@/data';
import { keepPrice } from './actions';
import { keepTerms } from './channels/actions';
import { termsForm } from './channels/channelForms';
import { keepLadder } from './ladder/actions';
import { priceForm } from './priceForm';
import { formatOf } from '@/shell/figures/format';
import { loadPrice } from './view';
import { costHints } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const EURO = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;
const NOTHING_KNOWN = {
  currency: 'EUR',
  printing: null,
  paper: null,
  capture: null,
  proofs: null,
  editionSize: 30,
};
const typed = (over: Record<string, string> = {}) => ({
  ...priceForm.write(startPrice(NOTHING_KNOWN), EURO),
  printing: '9',
  paper: '6.40',
  workId: '1',
  sizeKey: SIZE,
  ...over,
});
const kept = (over: Record<string, string> = {}) => keepPrice(typed(over));
const read = (over: Record<string, string> = {}) => {
  const found = priceForm.read(typed(over), EURO);
  if (!found.ok) throw new Error(JSON.stringify(found.fields));
  return reckonPrice(found.value);
};
const view = () => loadPrice('1', { size: SIZE });

it('starts from what the studio knows, and is never "0" where it does', async () => {
  expect((await view()).start).toMatchObject({
    paper: 0,
    capture: 0,
    proofs: 0,
    expectedImpressions: 30,
  });
  await here.open.db.write(async (tx) => {
    const at = '2026-11-02T12:00:00.000Z';
    const round = {
      workId: 1,
      sizeKey: SIZE,
      paperId: 1,
      route: 'own printer',
      remarks: '',
      sentAt: at,
    };
    await addProofRound(tx, { ...round, round: 1, cost: minor(1250), currency: 'EUR' });
    await addProofRound(tx, { ...round, round: 2, cost: minor(900), currency: 'EUR' });
    // Paid in another currency: it cannot be added, and is not.
    await addProofRound(tx, { ...round, round: 3, cost: minor(5000), currency: 'JPY' });
    const { hire } = await readSettings(tx);
    await saveSettings(tx, { hire: { ...hire, feePerWork: minor(6000), currency: 'EUR' } });
  });
  const [paper] = await here.rows<{ price: number }>(
    'SELECT price_minor AS price FROM paper WHERE id = 1',
  );
  expect((await view()).start).toMatchObject({
    // Two of them lie on a sheet.
    paper: paper!.price / 2,
    capture: 6000,
    proofs: 2150,
  });
});

it('keeps the price with everything it was reckoned from, and starts from it again', async () => {
  const { cost, sale } = read({ margin: '50' });
  expect(cost.total + sale!.fees + sale!.net).toBe(sale!.gross);
  expect(sale!.margin).toBeGreaterThanOrEqual(0.5);
  expect(await kept({ margin: '50' })).toMatchObject({ ok: true });
  const [row] = await here.rows(
    'SELECT price_minor AS price, net_minor AS net, cost_minor AS cost, fees_minor AS fees, currency FROM price ORDER BY id DESC LIMIT 1',
  );
  expect(row).toEqual({
    price: sale!.gross,
    net: sale!.net,
    cost: cost.total,
    fees: sale!.fees,
    currency: 'EUR',
  });
  expect(await view()).toMatchObject({
    set: { price: sale!.gross, currency: 'EUR' },
    start: { margin: 0.5, printing: 900, paper: 640 },
    ladder: [{ key: SIZE, price: { amount: sale!.gross, currency: 'EUR' } }],
  });
});

it('another currency re-labels no price that was kept, and does not start from it', async () => {
  const before = (await view()).set;
  await here.open.db.write((tx) => saveSettings(tx, { currency: 'JPY' }));
  const now = await view();
  expect(now.set).toEqual(before);
  expect(now.ladder[0]!.price).toMatchObject({ currency: 'EUR' });
  expect(now.start).toMatchObject({ printing: 0, packing: 5 });
  await here.open.db.write((tx) => saveSettings(tx, { currency: 'EUR' }));
});

it('a further price is a further fact; the last one holds', async () => {
  await kept({ margin: '30' });
  const [row] = await here.rows<{ n: number }>('SELECT count(*) AS n FROM price');
  expect(row!.n).toBe(2);
  expect((await view()).start.margin).toBe(0.3);
});

it.each([
  [{ margin: '99' }, 'margin'],
  [{ commission: '70', margin: '40' }, 'margin'],
  [{ printing: 'nine' }, 'printing'],
  [{ expectedImpressions: '0' }, 'expectedImpressions'],
  [{ channel: 'the moon' }, 'channel'],
])('keeps no price for %j and says why at its field', async (over, field) => {
  expect(await kept(over as Record<string, string>)).toMatchObject({
    ok: false,
    fields: { [field]: expect.any(String) },
  });
});

const NO_TERMS = {
  setUp: minor(0),
  proofFee: minor(0),
  leastQuantity: 1,
  leastPaid: minor(0),
};
const NO_POST = {
  postage: [],
  freePostageFrom: null,
  toCustomer: minor(0),
  days: 5,
  loses: '',
};

it('everybody who has a price for the size is compared; who has none is named', async () => {
  const keep = (
    name: string,
    kind: 'onlineLab' | 'onDemand',
    width: number,
    currency = 'EUR',
  ) =>
    here.open.db.write((tx) =>
      addPriceList(tx, {
        name,
        kind,
        currency,
        at: '2026-11-02T12:00:00.000Z',
        values: {
          from: '2026-11-02',
          ...NO_TERMS,
          rows: [
            { size: { width, height: 400 }, paper: '', from: 1, to: null, each: 2400 },
          ],
          ...NO_POST,
        },
      }),
    );
  await keep('Tidewrack', 'onlineLab', 300);
  await keep('Marrow', 'onlineLab', 250);
  await keep('Overseas', 'onlineLab', 300, 'JPY');
  await keep('Sandbar', 'onDemand', 300);
  const { compared, channels, notReckoned } = await view();
  expect(compared.routes.map((r) => r.prices.name)).toEqual(['Tidewrack']);
  expect(compared.leftOut).toEqual([
    { name: 'Marrow', why: 'noPrice' },
    { name: 'Overseas', why: 'currency' },
    // The edition of this size is numbered.
    { name: 'Sandbar', why: 'numbered' },
  ]);
  expect(notReckoned).toEqual({ channel: 'print on demand', why: 'numbered' });
  expect(channels.map((c) => c.channel)).not.toContain('print on demand');
});

const TERMS = {
  channel: 'gallery',
  commission: '35',
  payment: '0',
  advertising: '0',
  fixed: '0',
  listing: '0',
  listingMonths: '1',
  perMonth: '0',
  day: '0',
  dayHours: '0',
  framing: '12',
  saleOrReturn: 'yes',
  daysUntilPaid: '45',
};

it('what a channel asks is kept for every work, and stands in its form again', async () => {
  expect((await view()).channels.find((c) => c.channel === 'gallery')).toMatchObject({
    keptOn: null,
    terms: { commission: 0.4 },
  });
  expect(await keepTerms(TERMS)).toMatchObject({ ok: true });
  const found = (await view()).channels.find((c) => c.channel === 'gallery')!;
  expect(found.terms).toMatchObject({
    commission: 0.35,
    framing: 1200,
    saleOrReturn: true,
    daysUntilPaid: 45,
  });
  expect(found.keptOn).not.toBeNull();
  const { saleOrReturn, ...terms } = found.terms;
  expect(
    termsForm.write(
      { ...terms, channel: 'gallery', saleOrReturn: saleOrReturn ? 'yes' : 'no' },
      EURO,
    ),
  ).toMatchObject({ commission: '35', framing: '12.00', saleOrReturn: 'yes' });
});

it.each([
  [{ commission: '60', payment: '40' }, 'commission'],
  [{ dayHours: '25' }, 'dayHours'],
  [{ channel: 'the moon' }, 'channel'],
  [{ framing: '1.234,50' }, 'framing'],
  [{ listingMonths: '0' }, 'listingMonths'],
])('keeps no terms for %j and says why at its field', async (over, field) => {
  expect(await keepTerms({ ...TERMS, ...over })).toMatchObject({
    ok: false,
    fields: { [field]: expect.any(String) },
  });
});

const LADDER = {
  by: 'hand',
  throughSize: '',
  throughPrice: '0',
  andSize: '',
  andPrice: '0',
  originalPrice: '900',
  share: '33',
  margin: '40',
  limitedTimes: '1',
  otherPaper: '',
  otherTimes: '1.2',
  framedTimes: '2',
  framedMore: '0',
  every: '25',
  up: '15',
  rounding: '5',
  ceiling: '',
  workId: '1',
};

it('keeping a ladder writes a dated price for each size that has another, and its rule', async () => {
  const before = (await here.rows<{ n: number }>('SELECT count(*) AS n FROM price'))[0]!.n;
  const kept = await keepLadder({ ...LADDER, hand: JSON.stringify({ [SIZE]: 12_300 }) });
  expect(kept).toEqual({ ok: true, value: 1 });
  const now = await view();
  expect(now.set).toMatchObject({ price: 12_500, currency: 'EUR' });
  // The Cost sheet opens with the very price, whatever margin it leaves.
  expect(reckonPrice(now.start).sale!.gross).toBe(12_500);
  expect(now.start.asked).toBe(12_500);
  expect(now.set!.net).toBe(reckonPrice(now.start).sale!.net);
  expect(now.keptLadder).toMatchObject({ rule: { by: 'hand' }, steps: { by: 0.15 } });
  // Kept again nothing is new: no price is written twice.
  expect(await keepLadder({ ...LADDER, hand: JSON.stringify({ [SIZE]: 12_500 }) })).toEqual(
    { ok: true, value: 0 },
  );
  const [after] = await here.rows<{ n: number }>('SELECT count(*) AS n FROM price');
  expect(after!.n).toBe(before + 1);
});

it.each([
  [{ by: 'chance' }, 'by'],
  [{ every: '0' }, 'every'],
  [{ rounding: '7' }, 'rounding'],
  [{ ceiling: '1.234,50' }, 'ceiling'],
  [{ hand: '{"a":"much"}' }, 'hand'],
])('keeps no ladder for %j and says why', async (over, field) => {
  expect(await keepLadder({ ...LADDER, hand: '{}', ...over })).toMatchObject({
    ok: false,
    fields: { [field]: expect.any(String) },
  });
});

it('what is measured and priced on the shelf is known, and what it rests on is said', async () => {
  const format = formatOf({ ...EURO } as never);
  const before = await view();
  expect(before.made.packing).toBeNull();
  expect(costHints(before, format)).toMatchObject({
    packing: expect.stringContaining('Rule of thumb'),
    spoilage: expect.stringContaining('Rule of thumb'),
  });
  await here.open.db.write(async (tx) => {
    await tx.run("UPDATE material SET cost_minor = 120, currency = 'EUR'");
  });
  const { made, known } = await view();
  expect(made.packing!.pieces.length).toBeGreaterThan(0);
  expect(made.packing!.amount).toBe(
    120 * made.packing!.pieces.reduce((sum, p) => sum + p.pieces, 0),
  );
  expect(known.packing).toBe(made.packing!.amount);
  expect(startPrice(known).packing).toBe(made.packing!.amount);
  expect(costHints(await view(), format).packing).toMatch(/^Known: €\d/);
  const measured = {
    ...before,
    made: { ...before.made, printed: { good: 57, spoiled: 3 } },
  };
  expect(costHints(measured, format).spoilage).toBe('Measured: 3 of 60 were spoiled.');
});
