import { minor } from '@/core/units';
import type { PaperFormat } from '@/core/paper';
import { formatOf } from '@/shell/figures/format';
import { formatName, soldWords } from './formatWords';

const metric = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC' };
const format = formatOf({ ...metric, units: 'metric' });
const inch = formatOf({ ...metric, units: 'inch' });
const plain = (words: string) => words.replace(/[\u202f\u00a0\u2009]/g, ' ');

const sold = (of: Partial<PaperFormat>): PaperFormat => ({
  ...{ kind: 'sheet', width: 420, height: 594, core: null, price: minor(500) },
  ...{ currency: 'EUR', supplier: '', day: null, from: 'noted' },
  ...of,
});
const ROLL = sold({ kind: 'roll', width: 610, height: 15_240, core: 76.2 });

it('a sheet is called by its size, a roll by width, length and core, in both units', () => {
  expect(plain(formatName(sold({}), format))).toBe('sheet 42 × 59.4 cm');
  expect(plain(formatName(ROLL, format))).toMatch(/^roll 610 mm by 15\.2 m, core 76/);
  expect(plain(formatName({ ...ROLL, core: null }, format))).not.toContain('core');
  expect(plain(formatName(ROLL, inch))).toMatch(/^roll 24.* in by 50 ft, core 3 in$/);
});

it('as what a paper is sold: its one price, or how many sizes from how much a square metre', () => {
  expect(soldWords([sold({})], format)).toBe('€5.00 a sheet');
  const roll = { ...ROLL, price: minor(9296) };
  expect(plain(soldWords([sold({}), roll], format))).toBe('2 sizes, from €10.00 a m²');
  // Of two currencies none is the cheaper.
  expect(soldWords([sold({}), { ...roll, currency: 'USD' }], format)).toBe('2 sizes');
});
