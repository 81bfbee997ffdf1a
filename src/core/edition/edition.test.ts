import { createHash } from 'node:crypto';
import fc from 'fast-check';
import {
  assign,
  declare,
  impressionLabel,
  impressionsOf,
  link,
  reserve,
  spoil,
  verifyChain,
} from '.';
import type { Declaration, LedgerEntry, LedgerFact } from '.';

const sha256 = (text: string) => createHash('sha256').update(text).digest('hex');
const of30: Declaration = { kind: 'limited', scope: 'perSize', size: 30, artistsProofs: 3 };
const fact = (over: Partial<LedgerFact>): LedgerFact => ({
  editionId: 1,
  kind: 'assigned',
  series: 'number',
  number: 1,
  at: '2026-03-01T10:00:00.000Z',
  payload: {},
  ...over,
});
const chain = (facts: LedgerFact[]) =>
  facts.reduce<LedgerEntry[]>((all, f) => [...all, link(f, all.at(-1), sha256)], []);

describe('declare', () => {
  it('takes a limited edition of at least one, and never enlarges it', () => {
    expect(declare({ ...of30, size: 0 }, null, [])).toMatchObject({ refusal: 'sizeZero' });
    expect(declare(of30, null, [])).toMatchObject({ allowed: true });
    expect(declare({ ...of30, size: 31 }, of30, [])).toMatchObject({ refusal: 'enlarged' });
    expect(declare({ ...of30, artistsProofs: 4 }, of30, [])).toMatchObject({
      refusal: 'enlarged',
    });
    expect(declare({ ...of30, kind: 'open' }, of30, [])).toMatchObject({
      refusal: 'enlarged',
    });
    expect(declare({ ...of30, size: 20 }, of30, [])).toMatchObject({ allowed: true });
  });
  it('does not change after the first number', () => {
    const out = impressionsOf([fact({})]);
    expect(declare({ ...of30, size: 20 }, of30, out)).toMatchObject({
      refusal: 'closedToChange',
    });
  });
});

describe('assign', () => {
  it('gives the lowest free number; a spoiled one is printed again as its second printing', () => {
    const facts = [fact({}), fact({ number: 2 }), fact({ number: 3 })];
    expect(assign(of30, impressionsOf(facts), 'number')).toMatchObject({ value: 4 });
    facts.push(fact({ number: 2, kind: 'spoiled' }));
    expect(assign(of30, impressionsOf(facts), 'number')).toMatchObject({ value: 2 });
    facts.push(fact({ number: 2 }));
    expect(impressionsOf(facts)[1]).toMatchObject({
      number: 2,
      printing: 2,
      state: 'numbered',
    });
  });
  it('refuses taken, outside and used-up numbers', () => {
    const two = { ...of30, size: 2 };
    const full = impressionsOf([fact({}), fact({ number: 2 })]);
    expect(assign(two, full, 'number')).toMatchObject({ refusal: 'soldOut' });
    expect(assign(two, full, 'number', 2)).toMatchObject({ refusal: 'numberTaken' });
    expect(assign(two, full, 'number', 3)).toMatchObject({ refusal: 'numberOutside' });
    expect(assign(two, full, 'ap')).toMatchObject({ value: 1 });
  });
  it('never gives one number twice, whatever is spoiled in between', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { maxLength: 80 }), (steps) => {
        const facts: LedgerFact[] = [];
        for (const step of steps) {
          const now = impressionsOf(facts);
          const target = now[step % Math.max(1, now.length)];
          const decision =
            step < 3 && spoil(target).allowed ? null : assign(of30, now, 'number');
          if (decision === null)
            facts.push(fact({ kind: 'spoiled', number: target!.number }));
          else if (decision.allowed) {
            const held = now.find((i) => i.number === decision.value);
            expect(held === undefined || held.state === 'spoiled').toBe(true);
            expect(decision.value).toBeLessThanOrEqual(30);
            facts.push(fact({ number: decision.value }));
          }
        }
      }),
    );
  });
});

it('spoils and reserves only what is there and free', () => {
  const [numbered] = impressionsOf([fact({})]);
  const [sold] = impressionsOf([
    fact({}),
    fact({ kind: 'shipped', payload: { order: '0412' } }),
  ]);
  const [ordered] = impressionsOf([
    fact({}),
    fact({ kind: 'ordered', payload: { order: '0412' } }),
  ]);
  expect(spoil(undefined)).toMatchObject({ refusal: 'neverNumbered' });
  expect(spoil(numbered)).toMatchObject({ allowed: true });
  expect(spoil(sold)).toMatchObject({ refusal: 'alreadySold' });
  expect(spoil(ordered)).toMatchObject({ refusal: 'inOrder' });
  expect(reserve(sold)).toMatchObject({ refusal: 'notFree' });
  expect(ordered?.order).toBe('0412');
});

describe('verifyChain', () => {
  const entries = chain([
    fact({}),
    fact({ number: 2 }),
    fact({ number: 3, payload: { b: 1, a: 2 } }),
  ]);
  it('holds as written, whatever the order of payload keys', () => {
    const reordered = entries.map((e, i) =>
      i === 2 ? { ...e, payload: { a: 2, b: 1 } } : e,
    );
    expect(verifyChain(reordered, sha256)).toEqual({ sound: true, entries: 3 });
  });
  it('walks piece by piece as in one go', () => {
    const [first, ...rest] = entries;
    expect(verifyChain(rest, sha256, first)).toEqual({ sound: true, entries: 3 });
    expect(verifyChain([], sha256, entries[2])).toEqual({ sound: true, entries: 3 });
    expect(verifyChain(rest.slice(1), sha256, first)).toMatchObject({
      brokenAt: 2,
      why: 'missing',
    });
    const other = { ...first!, hash: sha256('other') };
    expect(verifyChain(rest, sha256, other)).toMatchObject({
      brokenAt: 2,
      why: 'unlinked',
    });
  });
  it('names the first entry that was changed, removed or put in', () => {
    const changed = entries.map((e, i) => (i === 1 ? { ...e, number: 9 } : e));
    expect(verifyChain(changed, sha256)).toEqual({
      sound: false,
      brokenAt: 2,
      why: 'changed',
    });
    const removed = entries.filter((_, i) => i !== 1);
    expect(verifyChain(removed, sha256)).toEqual({
      sound: false,
      brokenAt: 2,
      why: 'missing',
    });
    const forged = link(fact({ number: 8 }), entries[0], sha256);
    expect(verifyChain([entries[0]!, forged, entries[2]!], sha256)).toEqual({
      sound: false,
      brokenAt: 3,
      why: 'unlinked',
    });
  });
});

it('labels as pencilled', () => {
  expect(impressionLabel(of30, 'number', 7)).toBe('7/30');
  expect(impressionLabel(of30, 'ap', 2)).toBe('AP 2/3');
  expect(impressionLabel({ ...of30, kind: 'open' }, 'number', 7)).toBe('7');
});
