import fc from 'fast-check';
import { fitToSheet, plainLayout } from '../sizing';
import { mm, pixelsFor, size } from '../units';
import { printFileName, printPlan, slug, suggestedRadius, verifyPrintFile } from '.';

it('rounds each edge once, so that margins and picture fill the sheet', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 120, max: 1400 }),
      fc.integer({ min: 120, max: 1400 }),
      fc.integer({ min: 0, max: 50 }),
      fc.integer({ min: 72, max: 720 }),
      (w, h, border, ppi) => {
        const fit = fitToSheet(size(w, h), 0.75, plainLayout('within', mm(border)));
        const plan = printPlan({ width: 3000, height: 4000 }, fit, ppi);
        expect(plan.width).toBe(pixelsFor(mm(w), ppi));
        expect(plan.image.left * 2 + plan.image.width).toBe(plan.width);
        expect(plan.image.top + plan.image.height).toBeLessThanOrEqual(plan.height);
      },
    ),
  );
});

it('300 ppi over 50 x 70 cm is 5906 x 8268 px', () => {
  const plan = printPlan(
    { width: 8268, height: 11024 },
    fitToSheet(size(500, 700), 0.75, plainLayout('fill', mm(0))),
    300,
  );
  expect([plan.width, plan.height]).toEqual([5906, 8268]);
  expect(plan.source.height).toBe(11024);
  expect(plan.factor).toBeCloseTo(5906 / plan.source.width);
});

it('names begin with the size and hold nothing a system would choke on', () => {
  expect(printFileName('50 × 70 cm', 'Salt Pans, Low Sun', 300, 2)).toBe(
    '50x70cm_salt-pans-low-sun_300ppi_v2.tif',
  );
  expect(slug('../../etc/passwd')).toBe('etc-passwd');
  expect(slug('🌊🌊')).toBe('untitled');
  expect(slug('Fjærvær Ünder')).toMatch(/^[a-z0-9-]+$/);
});

it('suggests a radius that grows with the viewing distance, within bounds', () => {
  expect(suggestedRadius(300, 300)).toBe(0.6);
  expect(suggestedRadius(300, 900)).toBe(1.5);
  expect(suggestedRadius(300, 3000)).toBe(2);
});

it('finds each way in which a file is not what was ordered', () => {
  const wanted = { width: 10, height: 20, ppi: 300, profile: 'sRGB' };
  const good = {
    width: 10,
    height: 20,
    ppi: 300,
    iccDescription: 'sRGB',
    bitsPerChannel: 8,
    channels: 3,
    range: [3, 250] as [number, number],
    borderMinimum: 255,
  };
  const failed = (over: Partial<typeof good>) =>
    verifyPrintFile(wanted, { ...good, ...over })
      .filter((c) => !c.passed)
      .map((c) => c.check);
  expect(failed({})).toEqual([]);
  expect(failed({ width: 11, range: [7, 7], borderMinimum: 254 })).toEqual([
    'pixels',
    'picture',
    'border',
  ]);
  expect(failed({ bitsPerChannel: 16, iccDescription: 'Display P3' })).toEqual([
    'profile',
    'bits',
  ]);
});
