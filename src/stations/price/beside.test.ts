import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { USUAL_FINISH } from '@/core/finish';
import { startPrice } from '@/core/price';
import { addFinish } from '@/data';
import { keepPrice, noteMishap } from './actions';
import { priceListDocument } from './ladder/priceListDocument';
import { priceForm } from './priceForm';
import { loadPrice } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
  const known = { printing: null, paper: null, capture: null, proofs: null };
  const start = startPrice({ currency: 'EUR', ...known, editionSize: 30 });
  const bench = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;
  const typed = { ...priceForm.write(start, bench), printing: '9', paper: '6.40' };
  expect(await keepPrice({ ...typed, workId: '1', sizeKey: SIZE })).toMatchObject({
    ok: true,
  });
});
afterAll(() => here.end());
const view = () => loadPrice('1', { size: SIZE });

it('takes the price list out, in both units, for a channel; nothing of a work that is not there', async () => {
  const csv = (await priceListDocument('1', { form: 'csv', channel: 'gallery' }))!;
  const [heads, ...rows] = csv.bytes.toString('utf8').trim().split(/\r?\n/);
  expect(heads).toContain('width in');
  const [price] = await here.rows<{ price: number }>(
    `SELECT price_minor AS price FROM price WHERE size_key = '${SIZE}' ORDER BY id DESC LIMIT 1`,
  );
  const plain = rows[0]!.split(',');
  expect(plain).toEqual(
    expect.arrayContaining(['30', '40', '11.81', '15.75', 'gallery', 'EUR']),
  );
  expect(Number(plain.at(-3))).toBeCloseTo(price!.price / 100, 9);
  expect(Number(plain.at(-2))).toBeLessThan(Number(plain.at(-3)));
  const pdf = (await priceListDocument('1', { channel: 'gallery' }))!;
  expect(Buffer.from(pdf.bytes).subarray(0, 5).toString()).toBe('%PDF-');
  expect(pdf.name).toMatch(/^price-list_slack-water_gallery_\d{4}-\d{2}-\d{2}\.pdf$/);
  expect(await priceListDocument('1', { channel: 'the moon' })).toBeNull();
  expect(await priceListDocument('77', {})).toBeNull();
  expect(await priceListDocument('x', {})).toBeNull();
});

it('notes a mishap beside the price, in no cost of it, and finishing from what is kept at Finish', async () => {
  const before = await view();
  const sent = {
    workId: '1',
    sizeKey: SIZE,
    onDay: '2026-11-03',
    amount: '41',
    note: 'torn',
  };
  expect(await noteMishap(sent)).toMatchObject({ ok: true });
  expect(await noteMishap({ ...sent, onDay: '2190-01-01' })).toMatchObject({ ok: false });
  const now = await view();
  expect(now.mishaps).toMatchObject([{ amount: 4100, note: 'torn', channel: '' }]);
  expect(now.start).toEqual(before.start);
  expect(now.made.finishing).toBeNull();
  const prices = { moulding: 1000, glazing: 0, board: 0, backing: 0, hardware: 150 };
  const keep = (every: boolean) =>
    here.open.db.write((tx) =>
      addFinish(tx, {
        ...{ workId: 1, sizeKey: SIZE, at: '2026-11-03T10:00:00.000Z' },
        values: {
          ...USUAL_FINISH,
          prices: { ...prices, currency: 'EUR', hours: 1, every },
        },
      }),
    );
  await keep(false);
  const framed = await view();
  expect(framed.made.finishing).toMatchObject({ hours: 1, every: false });
  expect(framed.known.finishing).toBeNull();
  const { amount } = framed.made.finishing!;
  expect(framed.sizes.find((s) => s.key === SIZE)!.framing).toBe(
    Math.round(amount + framed.start.hourlyRate),
  );
  await keep(true);
  const every = await view();
  expect(every.known).toMatchObject({ finishing: amount, finishingHours: 1 });
  expect(every.sizes.find((s) => s.key === SIZE)!.framing).toBeNull();
});
