import { compareStrips, driftSince } from '.';
import type { PatchReading, StripDrift } from '.';

const REFERENCE: PatchReading[] = [
  { name: 'white', lab: [95, 0, 2] },
  { name: 'black', lab: [18, 1, 1] },
  { name: 'grey', lab: [50, 0, 0] },
  { name: 'red', lab: [45, 55, 35] },
  { name: 'blue', lab: [30, 5, -45] },
];
const shifted = (by: readonly [number, number, number], only?: string): PatchReading[] =>
  REFERENCE.map(({ name, lab }) => ({
    name,
    lab: only && name !== only ? lab : [lab[0] + by[0], lab[1] + by[1], lab[2] + by[2]],
  }));
const driftOf = (reading: PatchReading[], limits?: { mean: number; worst: number }) =>
  compareStrips(reading, REFERENCE, limits) as StripDrift;

it('finds nothing between a strip and itself, whatever the order', () => {
  const drift = driftOf([...REFERENCE].reverse());
  expect(drift).toMatchObject({ mean: 0, passes: true });
  expect(drift.patches.map((p) => p.name)).toEqual(REFERENCE.map((p) => p.name));
});

it.each([
  ['lighter', [2, 0, 0], 'lightness', 2],
  ['greener', [0, -3, 0], 'red', -3],
  ['yellower', [0, 0, 4], 'yellow', 4],
] as const)('says that it is %s, by how much, in every tone', (_, by, key, amount) => {
  const { byTone } = driftOf(shifted(by));
  for (const tone of Object.values(byTone)) expect(tone![key]).toBeCloseTo(amount, 9);
});

it('passes by its mean and by its worst, each by itself', () => {
  const one = driftOf(shifted([12, 0, 0], 'black'));
  expect(one.worst.name).toBe('black');
  expect(one.worst.difference).toBeGreaterThan(5);
  expect(one.passes).toBe(false);
  expect(driftOf(shifted([12, 0, 0], 'black'), { mean: 5, worst: 20 }).passes).toBe(true);
  const all = driftOf(shifted([4, 0, 0]));
  expect(all.mean).toBeGreaterThan(2);
  expect(all.passes).toBe(false);
});

it('tells hues apart, and names those that are not there', () => {
  const { byHue } = driftOf(shifted([0, -10, -6], 'red'));
  expect(byHue.red!.chroma).toBeLessThan(-10);
  expect(byHue.blue!.difference).toBe(0);
  expect(byHue.green).toBeNull();
});

it('is refused where patches are missing; others beside them do no harm', () => {
  expect(compareStrips(REFERENCE.slice(0, 3), REFERENCE)).toEqual({
    code: 'missing',
    found: 3,
    wanted: 5,
    first: 'red',
  });
  expect(compareStrips([], [])).toMatchObject({ code: 'missing' });
  const more = [...REFERENCE, { name: 'own', lab: [1, 1, 1] as [number, number, number] }];
  expect(driftOf(more).patches).toHaveLength(5);
});

it('drift since an approved print is over the patches that both readings have', () => {
  const names = Array.from({ length: 12 }, (_, i) => `p${i}`);
  const approved = names.map((name, i) => ({
    name,
    lab: [30 + 4 * i, 0, 0] as [number, number, number],
  }));
  const without = approved.filter((p) => p.name !== 'p5');
  const drift = driftSince(
    without,
    approved.filter((p) => p.name !== 'p7'),
  );
  if ('code' in drift) throw new Error(drift.code);
  expect([drift.patches.length, drift.mean, drift.passes]).toEqual([10, 0, true]);
  expect(driftSince(approved.slice(0, 5), approved)).toMatchObject({
    code: 'missing',
    found: 5,
  });
});
