import { createHash } from 'node:crypto';
import fc from 'fast-check';
import {
  LAID_OUT,
  assign,
  countSheets,
  declare,
  impressionLabel,
  impressionsOf,
  laidSheets,
  link,
  reserve,
  reservedBy,
  soldBy,
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

describe('an edition is counted', () => {
  const of = (size: number): Declaration => ({ ...of30, size });
  const given = (n: number) =>
    Array.from({ length: n }, (_, i) => fact({ number: i + 1, payload: { sizeKey: 'a' } }));

  it('numbers that are ordered or sold are not to give any more, proofs do not count', () => {
    const facts = [
      ...given(12),
      fact({ kind: 'spoiled', number: 3 }),
      ...[4, 5].map((number) => fact({ kind: 'ordered', number, payload: { order: '1' } })),
      fact({ kind: 'shipped', number: 4, payload: { order: '1' } }),
      fact({ series: 'ap', number: 1 }),
    ];
    const count = countSheets(of(200), impressionsOf(facts));
    expect(count.toGive).toBe(200 - 11);
    expect(count.numbers).toMatchObject({ numbered: 9, ordered: 1, sold: 1, spoiled: 1 });
    expect(count.artistsProofs.numbered).toBe(1);
    expect(count.proofsToGive).toBe(2);
  });

  it('agrees with what is laid out, for a short edition as for a long one', () => {
    for (const size of [30, LAID_OUT, LAID_OUT + 1, 400]) {
      const impressions = impressionsOf([
        ...given(20),
        fact({ kind: 'spoiled', number: 7 }),
      ]);
      const sheets = laidSheets(of(size), impressions).filter((s) => s.series === 'number');
      const free = sheets.filter((s) => s.state === 'free' || s.state === 'spoiled');
      const { toGive } = countSheets(of(size), impressions);
      if (size <= LAID_OUT) expect(free).toHaveLength(toGive!);
      else expect(sheets).toHaveLength(26);
      expect(toGive).toBe(size - 19);
    }
  });
});

describe('an order changes what becomes of an impression', () => {
  const story = (...kinds: [LedgerFact['kind'], LedgerFact['payload']?][]) =>
    impressionsOf([
      fact({ payload: { printing: 1, sizeKey: 'isoA-A3' } }),
      ...kinds.map(([kind, payload = { order: '0401' }]) => fact({ kind, payload })),
    ])[0]!;

  it('released, it is free again; only by the order that holds it', () => {
    const ordered = story(['ordered']);
    expect(reservedBy(ordered, '0401').allowed).toBe(true);
    expect(reservedBy(ordered, '0402').allowed).toBe(false);
    const free = story(['ordered'], ['released']);
    expect(free).toMatchObject({ state: 'numbered', order: null, sizeKey: 'isoA-A3' });
    expect(reserve(free).allowed).toBe(true);
  });

  it('back whole it is free, back damaged it is not; lost it is never printed again', () => {
    const sold = story(['ordered'], ['shipped']);
    expect(soldBy(sold, '0401').allowed).toBe(true);
    expect(soldBy(sold, '0400').allowed).toBe(false);
    const gone: [LedgerFact['kind'], LedgerFact['payload']?][] = [['ordered'], ['shipped']];
    const whole = story(...gone, ['returned', { order: '0401', condition: 'whole' }]);
    expect(whole.state).toBe('numbered');
    const damaged = story(...gone, ['returned', { order: '0401', condition: 'damaged' }]);
    expect(damaged.state).toBe('damaged');
    expect(reserve(damaged).allowed).toBe(false);
    expect(spoil(damaged).allowed).toBe(true);
    const lost = story(...gone, ['lost']);
    expect(spoil(lost)).toMatchObject({ refusal: 'alreadySold' });
    expect(assign(of30, [lost], 'number', 1)).toMatchObject({ refusal: 'numberTaken' });
    expect(assign(of30, [lost], 'number')).toMatchObject({ value: 2 });
  });
});
