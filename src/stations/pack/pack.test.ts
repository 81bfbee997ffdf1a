import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { layInStock, seal, ship, tickLine, weigh } from './actions';
import { USUAL_STOCK } from './usualStock';
import { loadPack } from './view';
import { packingWords, scaleWords } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
let order: string;
beforeAll(async () => {
  here = await inProcess();
  order = here.orderNumbers[0]!;
});
afterAll(() => here.end());

const view = () => loadPack('1', { order });
const label = { carrier: 'Lantern Post', service: 'flat, tracked' };
const tick = (line: string, count: string, on = 'yes') =>
  tickLine({ order, line, count, on });
const format = {
  mass: (g: number) => `${Math.round(g)} g`,
  length: (mm: number) => `${mm} mm`,
  size: (s: { width: number; height: number }) => `${s.width} x ${s.height}`,
} as never;

it('lists what belongs into the parcel, and what it will weigh', async () => {
  const { reckoned } = await view();
  expect(reckoned!.lines.map((l) => l.id)).toEqual([
    'print',
    'wrap0',
    'wrap1',
    'wrap2',
    'certificate',
    'note',
  ]);
  // 0.3 m x 0.4 m of 300 g/m2.
  expect(reckoned!.parcel!.parts.find((p) => p.part === 'print')!.mass).toBeCloseTo(36, 6);
  expect(packingWords(reckoned as never, format)[0]).toMatch(/^Flat, rigid mailer/);
});

it('seals nothing that was not counted twice and weighed', async () => {
  expect(await seal({ order, ...label })).toMatchObject({
    ok: false,
    message: expect.stringContaining('counted twice'),
  });
  for (const { id: line } of (await view()).reckoned!.lines) {
    await tick(line, 'first');
    if (line !== 'certificate') await tick(line, 'second');
  }
  expect((await view()).reckoned!.counted).toBe(false);
  const light = await weigh({ order, grams: '' });
  expect(light.ok).toBe(true);
  const short = (await view()).reckoned!;
  expect(short.scales).toMatchObject({ agrees: false });
  expect(scaleWords(short.scales!, format)).toMatch(/too light.*certificate in its folder/);
  await tick('certificate', 'second');
  expect(await seal({ order, ...label })).toMatchObject({
    message: expect.stringContaining('Look again before sealing'),
  });
  expect(await weigh({ order, grams: '' })).toMatchObject({ ok: true });
  expect(scaleWords((await view()).reckoned!.scales!, format)).toMatch(/^The scales agree/);
});

it('a tick that is taken back is not counted; every tick is kept as it was made', async () => {
  await tick('note', 'second', 'no');
  expect((await view()).reckoned!.counted).toBe(false);
  await tick('note', 'second');
  expect((await view()).reckoned!.counted).toBe(true);
  const events = await here.rows("SELECT id FROM order_event WHERE kind = 'tick'");
  expect(events.length).toBe(14);
});

it.each([
  [{ service: 'by balloon' }, /does not take the parcel/],
  [{ order: '9999' }, /not there/],
  [{ carrier: '' }, /Carrier/],
])('seals nothing with %j', async (over, message) => {
  const answer = await seal({ order, ...label, ...over });
  expect(answer).toMatchObject({ ok: false, message: expect.stringMatching(message) });
});

it('ships nothing that has no label', async () => {
  expect(await ship({ order })).toMatchObject({
    ok: false,
    message: expect.stringContaining('nothing leaves without its label'),
  });
});

it('a seal is one write: label, documents, and three pieces less on the shelf', async () => {
  const stock = () =>
    here.rows<{ n: number }>(
      "SELECT sum(pieces) AS n FROM stock_now WHERE of = 'material'",
    );
  const [before] = await stock();
  expect(await seal({ order, ...label })).toMatchObject({ ok: true });
  const [after] = await stock();
  expect(before!.n - after!.n).toBe(3);
  expect((await view()).documents.map((d) => d.kind).sort()).toEqual([
    'certificate',
    'label',
    'packing slip',
  ]);
  for (const again of [seal({ order, ...label }), tick('note', 'first', 'no')])
    expect(await again).toMatchObject({
      ok: false,
      message: expect.stringContaining('sealed already'),
    });
  expect(await ship({ order })).toMatchObject({ ok: true });
  expect(await ship({ order })).toMatchObject({
    ok: false,
    message: 'This order has left already.',
  });
  expect((await view()).order).toMatchObject({ shippedAt: expect.any(String) });
});

it('lays in usual material once', async () => {
  const count = () => here.rows('SELECT id FROM material');
  const before = (await count()).length;
  expect(before).toBe(USUAL_STOCK.length);
  expect(await layInStock({})).toMatchObject({ ok: true });
  expect((await count()).length).toBe(before);
});
