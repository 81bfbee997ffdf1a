import { payBack, payBackBand, payBackSwings } from '.';
import type { PayBackFigures } from '.';

const figures: PayBackFigures = {
  first: 240_000,
  perMonth: 0,
  elsewhere: 2400,
  own: 1400,
  pace: 20,
  growth: 0,
};

it('pays back when what each print saves has added up', () => {
  expect(payBack(figures)).toEqual({ prints: 240, months: 12 });
  expect(payBack({ ...figures, first: 240_001 }).prints).toBe(241);
  expect(payBack({ ...figures, perMonth: 5000 }).months).toBeCloseTo(16, 9);
  expect(payBack({ ...figures, first: 0 })).toEqual({ prints: 0, months: 0 });
});

it('with growth it is as month by month', () => {
  const growth = 0.3;
  let [open, months] = [240_000, 0];
  for (let m = 0; open > 0; m++) {
    const gain = 20 * 1.3 ** (m / 12) * 1000;
    months = m + Math.min(1, open / gain);
    open -= gain;
  }
  expect(payBack({ ...figures, growth }).months).toBeCloseTo(months, 9);
  expect(payBack({ ...figures, growth: -0.9 }).months).toBeNull();
});

it('never, where a print saves nothing or the months cost more than they save', () => {
  expect(payBack({ ...figures, own: 2400 })).toEqual({ prints: null, months: null });
  expect(payBack({ ...figures, perMonth: 20_000 })).toEqual({ prints: 240, months: null });
  expect(payBack({ ...figures, pace: 0 }).months).toBeNull();
});

it('the figure that matters most comes first', () => {
  const swings = payBackSwings(figures);
  expect(swings.map((s) => s.figure)).toEqual(['elsewhere', 'own', 'pace', 'first']);
  expect(swings.find((s) => s.figure === 'first')).toMatchObject({ less: 9, more: 15 });
  expect(swings.find((s) => s.figure === 'pace')).toMatchObject({ less: 16 });
  // At three quarters of 2400 a print saves 400: 30 months.
  expect(swings[0]).toMatchObject({ less: 30, more: 7.5 });
});

it('the band is nothing where nothing is unsure, holds the middle, and may be never', () => {
  expect(payBackBand(figures, {})).toEqual({ low: 12, middle: 12, high: 12 });
  const band = payBackBand(figures, { pace: 0.3, elsewhere: 0.2 });
  expect(band.low!).toBeLessThan(12);
  expect(band.high!).toBeGreaterThan(12);
  // Triangle of 30 % alone: 1 in 10 lies 0.3 (1 - sqrt(0.2)) below.
  const pace = payBackBand(figures, { pace: 0.3 });
  expect(pace.high!).toBeCloseTo(12 / (1 - 0.3 * (1 - Math.sqrt(0.2))), 0);
  expect(payBackBand(figures, { elsewhere: 1 }).high).toBeNull();
});
