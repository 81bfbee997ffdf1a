import { minor } from '@/core/units';
import { formatOf } from '@/shell/figures/format';
import { figuresOf, ownForm } from './ownForm';
import type { OwnAsked } from './ownForm';
import { ownShown } from './ownShown';
import { monthsWords, ownWords } from './ownWords';

const format = formatOf({ units: 'metric', currency: 'EUR', locale: 'en-GB' } as never);
const asked: OwnAsked = {
  kind: 'printer',
  bought: minor(98_000),
  firstInks: minor(24_000),
  calibration: minor(0),
  perMonth: minor(0),
  elsewhere: minor(5250),
  own: minor(1540),
  pace: 5.8,
  growth: 0,
  offPace: 0,
  offElsewhere: 0,
  offOwn: 0,
};

it('what is paid first is all of it, and the line crosses nothing when it is paid', () => {
  expect(figuresOf(asked).first).toBe(122_000);
  const { back, saved } = ownShown(asked);
  expect(back.prints).toBe(33);
  expect(saved[0]).toBe(-122_000);
  const month = Math.ceil(back.months!);
  expect(saved[month]).toBeGreaterThanOrEqual(0);
  expect(saved[month - 1]).toBeLessThan(0);
});

it('says when it pays, how sure that is, and what matters most', () => {
  expect(ownWords(ownShown(asked), format)).toBe(
    'Each saves €37.10: 33 pay for it, in 5.7 months. What matters most: each, elsewhere (a quarter less: 8.8 months; a quarter more: 4.2 months).',
  );
  const unsure = ownShown({ ...asked, offPace: 0.3 });
  expect(ownWords(unsure, format)).toMatch(/Eight times in ten between [\d.]+ months and/);
  expect(ownWords(ownShown({ ...asked, own: minor(6000) }), format)).toContain(
    'saves nothing',
  );
  expect(ownWords(ownShown({ ...asked, pace: 0 }), format)).toContain('never pays');
});

it('months are said as people say them', () => {
  expect(monthsWords(null, format)).toBe('never');
  expect(monthsWords(5.71, format)).toBe('5.7 months');
  expect(monthsWords(18.2, format)).toBe('18 months');
  expect(monthsWords(30, format)).toBe('2.5 years');
});

it('its form reads what it writes', () => {
  const bench = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;
  expect(ownForm.read(ownForm.write(asked, bench), bench)).toEqual({
    ok: true,
    value: asked,
  });
});
