import fc from 'fast-check';
import { minor } from '../units';
import { PRICED_BY, boughtAs, boughtFor, cheapestByArea, formatFault } from '.';
import { formatKey, formatsNow, holderTakes, perSquareMetre } from '.';
import { sameFormat, usualFormat, wholePrice } from '.';
import type { NotedFormat, PaperFormat } from '.';

const format = (
  kind: 'sheet' | 'roll',
  width: number,
  height: number,
  price: number,
  more: Partial<NotedFormat> = {},
): NotedFormat => ({
  ...{ kind, width, height, core: null, price: minor(price), currency: 'EUR' },
  ...{ supplier: '', day: '2026-03-01', from: 'noted', sold: true },
  ...more,
});
const SHEET = format('sheet', 420, 594, 500);
const ROLL = format('roll', 610, 15_000, 14_700, { core: 76.2 });

it('of each kind and size the newest price counts, whichever way a sheet lies', () => {
  const now = formatsNow([
    ROLL,
    SHEET,
    format('sheet', 594, 420, 540, { day: '2026-05-01' }),
    format('sheet', 420, 594, 520, { day: '2026-04-01' }),
  ]);
  expect(now.map((f) => [f.kind, f.price])).toEqual([
    ['sheet', 540],
    ['roll', 14_700],
  ]);
  // A roll as wide as another is long is another roll.
  expect(sameFormat(ROLL, format('roll', 15_000, 610, 1))).toBe(false);
});

it('of one day the later note counts; without a day it is older than any', () => {
  const undated = format('sheet', 420, 594, 450, { day: null, from: 'paper' });
  expect(formatsNow([SHEET, undated])[0]!.price).toBe(500);
  expect(formatsNow([SHEET, format('sheet', 420, 594, 505)])[0]!.price).toBe(505);
});

it('what is no longer sold is gone until it is priced again, and its core is remembered', () => {
  const gone = { ...ROLL, sold: false, day: '2026-04-01' };
  expect(formatsNow([ROLL, gone])).toEqual([]);
  const again = format('roll', 610, 15_000, 15_900, { day: '2026-06-01' });
  expect(formatsNow([ROLL, gone, again])).toMatchObject([{ price: 15_900, core: 76.2 }]);
});

it('a running metre or foot makes the price of the whole roll', () => {
  expect(wholePrice(minor(980), PRICED_BY[1], 15_000)).toBe(14_700);
  expect(wholePrice(minor(299), PRICED_BY[2], 12_192)).toBe(11_960);
  expect(wholePrice(minor(500), PRICED_BY[0], 594)).toBe(500);
});

it('a sheet has no core, no running metre, and an end', () => {
  const fault = (f: NotedFormat, by = PRICED_BY[0] as (typeof PRICED_BY)[number]) =>
    formatFault(f, by)?.field ?? null;
  expect(fault(SHEET)).toBeNull();
  expect(fault(ROLL, PRICED_BY[1])).toBeNull();
  expect(fault({ ...SHEET, core: 50 })).toBe('core');
  expect(fault(SHEET, PRICED_BY[1])).toBe('per');
  expect(fault({ ...SHEET, height: 12_000 })).toBe('height');
});

it('what is cheapest for a square metre is told in one currency alone', () => {
  expect(cheapestByArea([SHEET, ROLL])).toMatchObject({ kind: 'roll' });
  expect(cheapestByArea([SHEET, { ...ROLL, currency: 'USD' }])).toBeNull();
  expect(cheapestByArea([])).toBeNull();
  // Without a price it is not the cheapest.
  expect(cheapestByArea([{ ...SHEET, price: minor(0) }, ROLL])).toMatchObject({
    kind: 'roll',
  });
  expect(cheapestByArea([{ ...SHEET, price: minor(0) }])).toBeNull();
});

it('one print comes from whatever leaves it cheapest', () => {
  // Of the sheet one of four, 125; of the roll 210 mm of 15 m, 206; one of two of the smaller.
  expect(boughtFor({ width: 210, height: 297 }, [SHEET, ROLL])).toMatchObject({
    format: { kind: 'sheet' },
    share: 0.25,
    cost: 125,
  });
  expect(boughtFor({ width: 600, height: 400 }, [SHEET, ROLL])).toMatchObject({
    format: { kind: 'roll' },
    cost: 392,
  });
  expect(boughtFor({ width: 700, height: 800 }, [SHEET, ROLL])).toBeNull();
  expect(
    boughtFor({ width: 210, height: 297 }, [SHEET, { ...ROLL, currency: 'USD' }]),
  ).toBeNull();
});

it('as much paper is proposed in another size only where that costs less', () => {
  // Twenty sheets of 0.25 m2, 100.00; a roll of 9.15 m2 at 147.00 holds them all.
  expect(boughtAs(20, SHEET, [SHEET, ROLL]).instead).toBeNull();
  expect(boughtAs(32, SHEET, [SHEET, ROLL]).instead).toMatchObject({
    format: { kind: 'roll' },
    quantity: 1,
    price: 14_700,
  });
  // A smaller sheet holds none of them.
  const small = format('sheet', 210, 297, 1);
  expect(boughtAs(32, SHEET, [SHEET, small]).instead).toBeNull();
});

it('whatever is proposed instead is as much area, and costs less', () => {
  const any = fc.record({
    kind: fc.constantFrom('sheet' as const, 'roll' as const),
    width: fc.integer({ min: 100, max: 1200 }),
    height: fc.integer({ min: 100, max: 20_000 }),
    price: fc.integer({ min: 0, max: 30_000 }),
  });
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 200 }),
      fc.array(any, { maxLength: 5 }),
      (quantity, others) => {
        const formats: PaperFormat[] = formatsNow([
          SHEET,
          ...others.map((o) => format(o.kind, o.width, o.height, o.price)),
        ]);
        const { usual, instead } = boughtAs(quantity, SHEET, formats);
        const area = (f: PaperFormat) => f.width * f.height;
        expect(sameFormat(usual, SHEET)).toBe(true);
        if (!instead) return;
        expect(instead.price).toBeLessThan(quantity * usual.price);
        expect(instead.quantity * area(instead.format)).toBeGreaterThan(
          quantity * area(usual) * (1 - 1e-6),
        );
        expect(perSquareMetre(instead.format)).toBeLessThan(
          perSquareMetre(usual) * (1 + 1e-9),
        );
      },
    ),
  );
});

it('a holder takes the cores that it is said to, and any where nobody said', () => {
  const both = { coreFrom: 50.8, coreTo: 76.2 };
  expect([25.4, 50, 76, 78, 79].map((c) => holderTakes(both, c))).toEqual([
    false,
    true,
    true,
    true,
    false,
  ]);
  expect(holderTakes({ coreFrom: null, coreTo: 76.2 }, 50.8)).toBe(false);
  expect(holderTakes({ coreFrom: null, coreTo: null }, 25.4)).toBe(true);
  expect(holderTakes(both, null)).toBe(true);
});

it('the usual sheet is a format of the paper, with the day of its price', () => {
  const paper = {
    ...{ sheetWidth: 594, sheetHeight: 420, price: minor(560), currency: 'EUR' },
    ...{ supplier: 'Quay', priceOn: null },
  };
  expect(usualFormat(paper)).toMatchObject({ kind: 'sheet', day: null, from: 'paper' });
  expect(formatKey(usualFormat(paper))).toBe(formatKey(SHEET));
});
