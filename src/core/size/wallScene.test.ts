import { SIZE_RULES, fitToSheet, hangScene, plainLayout } from '.';
import { mm, size } from '../units';

const RULES = { personMm: 1700, sofaMm: 2000 };
const print = (key: string, width: number, height: number) => ({
  key,
  label: key,
  fit: fitToSheet(size(width, height), 3 / 4, plainLayout('within', mm(20))),
});

it('hangs prints in a row, equally apart, their middles in one line', () => {
  const { hung } = hangScene([print('a', 300, 400), print('b', 500, 700)], RULES);
  const [a, b] = hung as [(typeof hung)[0], (typeof hung)[0]];
  expect(b.x - (a.x + a.fit.sheet.width)).toBeCloseTo(120, 6);
  expect(a.x).toBeCloseTo(-(b.x + b.fit.sheet.width), 6);
  for (const h of hung) expect(h.y + h.fit.sheet.height / 2).toBeCloseTo(0, 6);
});

it('the middle is 150 cm over the floor; a large one hangs higher, clear of the sofa', () => {
  expect(hangScene([print('a', 300, 400)], RULES).floor).toBe(1500);
  const large = hangScene([print('l', 1800, 2400)], RULES);
  const bottom = large.hung[0]!.y + large.hung[0]!.fit.sheet.height;
  expect(large.floor - bottom).toBeGreaterThanOrEqual(large.sofa.height + 149);
});

it('all of it lies within its bounds', () => {
  const { hung, bounds, person, floor, sofa } = hangScene([print('a', 1000, 1400)], RULES);
  for (const h of hung) {
    expect(h.x).toBeGreaterThan(bounds.left);
    expect(h.x + h.fit.sheet.width).toBeLessThan(bounds.right);
    expect(h.y).toBeGreaterThan(bounds.top);
  }
  expect(floor - person.height).toBeGreaterThan(bounds.top);
  expect(sofa.x + sofa.width).toBeLessThan(bounds.right);
  expect(SIZE_RULES.personMm).toBeGreaterThan(0);
});
