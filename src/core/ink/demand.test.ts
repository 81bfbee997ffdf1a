import fc from 'fast-check';
import {
  CHANNELS,
  INK_ROLES,
  INK_STATS,
  coverages,
  inkStats,
  isGlossy,
  meanStats,
} from '.';
import type { InkInPrinter, InkRole } from '.';

const FULL = 65535;
const inks = (...roles: InkRole[]): InkInPrinter[] =>
  roles.map((role) => ({ role, papers: 'all' }));
const EIGHT = inks(
  'cyan',
  'magenta',
  'yellow',
  'black',
  'lightCyan',
  'lightMagenta',
  'grey',
  'lightGrey',
);
/** Pixels of shares of light, as a printer's values. */
const light = (...rgb: number[]) => Uint16Array.from(rgb, (v) => Math.round(v * FULL));
const covered = (list: ReturnType<typeof inks>, ...rgb: number[]) =>
  coverages(list, inkStats([light(...rgb)], 3), null);

describe('what a picture takes', () => {
  it('is nothing where it is white, and one black where it is black', () => {
    const four = inks('cyan', 'magenta', 'yellow', 'black');
    expect(covered(four, 1, 1, 1)).toEqual([0, 0, 0, 0]);
    expect(covered(four, 0, 0, 0)).toEqual([0, 0, 0, 1]);
    expect(covered(EIGHT, 1, 1, 1)).toEqual(EIGHT.map(() => 0));
  });

  it('is the two inks of a pure colour, each wholly', () => {
    const [c, m, y, k] = covered(inks('cyan', 'magenta', 'yellow', 'black'), 1, 0, 0);
    expect([c, m, y, k]).toEqual([0, 1, 1, 0]);
  });

  it('is halved over a sheet that is white by half', () => {
    expect(covered(inks('cyan'), 0, 1, 1, 1, 1, 1)).toEqual([0.5]);
  });

  it('goes to a light ink where it is light, and to the dark one where it is dark', () => {
    const both = inks('cyan', 'lightCyan');
    expect(covered(both, 0.5, 1, 1).map((v) => Number(v.toFixed(3)))).toEqual([0, 1]);
    expect(covered(both, 0, 1, 1)).toEqual([1, 0]);
    const [dark, bright] = covered(both, 0.25, 1, 1);
    expect(dark).toBeCloseTo(0.5, 3);
    expect(bright).toBeCloseTo(0.5, 3);
  });

  it('takes greys from grey inks alone where there are any, and shares them', () => {
    const grey = covered(EIGHT, 0.6, 0.6, 0.6);
    expect(grey.slice(0, 3)).toEqual([0, 0, 0]);
    expect(grey[6]).toBeCloseTo(grey[7]!, 9);
    expect(grey[6]).toBeGreaterThan(0.3);
    const mixed = covered(inks('cyan', 'magenta', 'yellow', 'black'), 0.6, 0.6, 0.6);
    // 0.4 of grey: 0.16 of it black, the rest of three inks.
    expect(mixed.map((v) => Number(v.toFixed(2)))).toEqual([0.24, 0.24, 0.24, 0.16]);
  });

  it('takes half of two inks by one that is mixed already', () => {
    const with_ = covered(inks('magenta', 'yellow', 'orange'), 1, 0, 0);
    expect(with_).toEqual([0.5, 0.5, 0.5]);
    const two = covered(inks('magenta', 'yellow', 'red', 'orange'), 1, 0, 0);
    expect(two).toEqual([0.5, 0.5, 0.25, 0.25]);
  });

  it('is what four inks say themselves', () => {
    const stats = inkStats([Uint16Array.of(FULL, 0, FULL / 5, FULL)], 4);
    const found = coverages(inks('cyan', 'magenta', 'yellow', 'black'), stats, null);
    expect(found).toEqual([1, 0, 0.2, 1]);
  });

  it('goes by the paper: one black or the other, a clear coat only on what shines', () => {
    const list = [
      { role: 'black' as const, papers: 'matte' as const },
      { role: 'black' as const, papers: 'glossy' as const },
      { role: 'clear' as const, papers: 'all' as const },
      { role: 'wasteBox' as const, papers: 'all' as const },
    ];
    const black = inkStats([light(0, 0, 0)], 3);
    expect(coverages(list, black, false)).toEqual([1, 0, 0, 0]);
    expect(coverages(list, black, true)).toEqual([0, 1, 1, 0]);
    expect(coverages(list, black, null)).toEqual([0.5, 0.5, 1, 0]);
    expect([isGlossy('matte'), isGlossy('textured'), isGlossy('lustre')]).toEqual([
      false,
      false,
      true,
    ]);
  });

  it('lies between none and all of a sheet, whatever is printed by whatever inks', () => {
    const value = fc.integer({ min: 0, max: FULL });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(value, value, value), { minLength: 1, maxLength: 20 }),
        fc.subarray(INK_ROLES, { minLength: 1 }),
        fc.option(fc.boolean()),
        (pixels, roles, glossy) => {
          const stats = inkStats([Uint16Array.from(pixels.flat())], 3);
          for (const v of coverages(inks(...roles), stats, glossy)) {
            expect(v).toBeGreaterThanOrEqual(0);
            expect(v).toBeLessThanOrEqual(1);
          }
        },
      ),
    );
  });

  it('is the same in pieces, and as a mean of its parts by their area', () => {
    const [a, b] = [light(0.2, 0.5, 0.9), light(1, 0.3, 0.1, 0.4, 0.4, 0.4)];
    const whole = inkStats([a, b], 3);
    const parts = meanStats([
      { stats: inkStats([a], 3), weight: 1 },
      { stats: inkStats([b], 3), weight: 2 },
    ]);
    for (const c of CHANNELS) {
      expect(parts.part[c].mean).toBeCloseTo(whole.part[c].mean, 12);
      expect(parts.full[c].dark).toBeCloseTo(whole.full[c].dark, 12);
    }
    expect(INK_STATS.read(INK_STATS.write(whole))).toEqual(whole);
    expect(() => INK_STATS.read({ version: 0, part: {} })).toThrow('not whole');
  });

  it('of no pixel at all cannot be told', () => {
    expect(() => inkStats([], 3)).toThrow(RangeError);
    expect(() => meanStats([])).toThrow(RangeError);
  });
});
