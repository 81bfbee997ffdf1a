import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { grams, mm } from '@/core/units';
import { bookQuote, carriersOf, quotesOf, simulatedScales } from '.';

let home: string;
beforeEach(() => {
  home = mkdtempSync(join(tmpdir(), 'carriers-'));
});
afterEach(() => rmSync(home, { recursive: true }));

const parcel = (width: number, total = 600) => ({
  total: grams(total),
  width: mm(width),
  height: mm(550),
  depth: mm(9),
});
const quotes = (width: number, total?: number, currency = 'EUR') =>
  quotesOf(home, parcel(width, total), currency);
const flat = (width: number, total?: number) =>
  quotes(width, total).find((q) => q.service === 'flat, tracked')!;

it('quotes the cheapest first and says why a service refuses', () => {
  expect(quotes(450)[0]).toMatchObject({ carrier: 'Lantern Post', refused: null });
  const costs = quotes(450)
    .filter((q) => q.refused === null)
    .map((q) => q.cost);
  expect(costs).toEqual([...costs].sort((a, b) => a - b));
  expect(flat(700).refused).toBe('tooLong');
  expect(flat(450, 2500).refused).toBe('tooHeavy');
});

it('answers in the minor units of the currency it is asked in', () => {
  const [euro] = quotes(450);
  const [yen] = quotes(450, 600, 'JPY');
  expect(yen!.cost).toBe(Math.round(euro!.cost / 100));
});

it('books one reference once, keeps it over a restart, and voids it', async () => {
  const post = () => carriersOf(home)[0]!;
  const quote = { service: 'flat, tracked' };
  expect(await post().find('0412-1')).toBeNull();
  const first = await post().book(quote, '0412-1');
  expect(await post().book(quote, '0412-1')).toEqual(first);
  expect(await post().book(quote, '0413-1')).not.toEqual(first);
  expect(await post().find('0412-1')).toMatchObject(first);
  await post().void('0412-1');
  await post().void('0412-1');
  expect(await post().find('0412-1')).toBeNull();
  expect(await post().find('0413-1')).not.toBeNull();
});

it('books a quote with the carrier that gave it', async () => {
  const [quote] = quotes(450);
  const made = await bookQuote(home, quote!, '0414-1');
  const of = (name: string) => carriersOf(home).find((c) => c.name === name)!;
  expect(await of(quote!.carrier).find('0414-1')).toMatchObject(made);
  expect(await of('Fen & Far').find('0414-1')).toBeNull();
});

it('a reference that looks like a path stays in the carrier’s own book', async () => {
  const post = carriersOf(home)[0]!;
  await post.book({ service: 'flat, tracked' }, '../../out');
  expect(await post.find('../../out')).not.toBeNull();
  expect(await post.find('.._.._out')).not.toBeNull();
});

it('weighs only what lies on the scales', async () => {
  const print = { mass: grams(570) };
  const certificate = { mass: grams(30) };
  const all = await simulatedScales([print, certificate], 1).read();
  const without = await simulatedScales([print], 1).read();
  expect(all - without).toBe(30);
});
