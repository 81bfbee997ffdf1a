import fc from 'fast-check';
import {
  PLAIN_WEEK,
  dayIn,
  daysAfter,
  daysUntil,
  isClosed,
  isZone,
  noonOf,
  promisedDay,
  readClosedDays,
  worksOn,
  writeClosedDays,
} from '.';

const ZONES = [
  'America/Los_Angeles',
  'Europe/Lisbon',
  'Asia/Kathmandu',
  'Pacific/Kiritimati',
  'UTC',
];

it('a day is the day where the studio is', () => {
  const evening = '2026-11-24T02:00:00.000Z';
  expect(dayIn(evening, 'America/Los_Angeles')).toBe('2026-11-23');
  expect(dayIn(evening, 'UTC')).toBe('2026-11-24');
  expect(dayIn('2026-11-23T23:30:00.000Z', 'Europe/Helsinki')).toBe('2026-11-24');
  expect(dayIn('2026-11-23T11:00:00.000Z', 'Pacific/Kiritimati')).toBe('2026-11-24');
});

it.each(ZONES)(
  'noon of a day lies in that day, in %s, through changes of the clock',
  (zone) =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40_000 }), (n) => {
        const day = daysAfter('1990-01-01', n);
        expect(dayIn(noonOf(day, zone), zone)).toBe(day);
      }),
    ),
);

it('counts days, over the change of the clock and leap years', () => {
  expect(daysUntil('2026-11-25', '2026-11-28')).toBe(-3);
  expect(daysUntil('2026-03-30', '2026-03-28')).toBe(2);
  expect(daysUntil('2028-03-01', '2028-02-28')).toBe(2);
  expect(daysAfter('2026-03-01', -1)).toBe('2026-02-28');
});

it('promises working days, by the weekend of the country and what is closed', () => {
  expect(promisedDay('2026-11-20', 3, PLAIN_WEEK)).toBe('2026-11-25');
  expect(promisedDay('2026-11-20', 0, PLAIN_WEEK)).toBe('2026-11-20');
  // A Thursday: in Egypt Friday and Saturday are the weekend.
  expect(promisedDay('2026-11-19', 1, { ...PLAIN_WEEK, country: 'EG' })).toBe('2026-11-22');
  const spans = readClosedDays('12-24 to 01-02')!;
  const week = { country: 'GB', closed: (day: string) => isClosed(day, spans) };
  expect(promisedDay('2026-12-22', 2, week)).toBe('2027-01-04');
  expect(worksOn('2026-12-25', week)).toBe(false);
  expect(() => promisedDay('2026-12-22', 1, { country: '', closed: () => true })).toThrow(
    RangeError,
  );
});

it('reads when a studio is closed, and refuses what is no day', () => {
  const typed = '12-24, 02-29, 2027-07-01 to 2027-07-14';
  expect(writeClosedDays(readClosedDays(typed)!)).toBe(typed);
  expect(readClosedDays('')).toEqual([]);
  for (const wrong of [
    '31 April',
    '04-31',
    '2027-02-29',
    '2027-07-14 to 2027-07-01',
    '12-24 to 2027-01-01',
    '01-01 to 01-02 to 01-03',
  ])
    expect(readClosedDays(wrong)).toBeNull();
  expect(isClosed('2027-07-14', readClosedDays(typed)!)).toBe(true);
  expect(isClosed('2027-07-15', readClosedDays(typed)!)).toBe(false);
});

it('knows time zones', () => {
  expect(ZONES.every(isZone)).toBe(true);
  expect(isZone('Europe/Nowhere')).toBe(false);
});
