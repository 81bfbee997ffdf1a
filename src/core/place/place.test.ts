import { COUNTRIES, CURRENCIES, LOCALES, ZONES, guessPlace } from '.';
import { closedField, countryField, localeField, zoneField } from '.';
import type { PlaceGuess } from '.';
import { IN_ADDRESSES, readField } from '../input';

const before: PlaceGuess = {
  units: 'metric',
  currency: 'EUR',
  locale: 'en-GB',
  country: '',
  timeZone: 'UTC',
};

it.each([
  ['en-US', 'America/Los_Angeles', 'inch', 'USD', 'US'],
  ['sv-SE', 'Europe/Stockholm', 'metric', 'SEK', 'SE'],
  ['de-CH', 'Europe/Zurich', 'metric', 'CHF', 'CH'],
  ['ja', 'Asia/Tokyo', 'metric', 'JPY', 'JP'],
  ['ar-KW', 'Asia/Kuwait', 'metric', 'KWD', 'KW'],
  ['en-GB', 'Europe/London', 'metric', 'GBP', 'GB'],
] as const)('a browser in %s at %s', (locale, timeZone, units, currency, country) =>
  expect(guessPlace({ locale, timeZone }, before)).toMatchObject({
    units,
    currency,
    country,
    timeZone,
  }),
);

it('what a browser does not know stays as it was', () => {
  expect(guessPlace({ locale: 'not one!', timeZone: 'Mars/Olympus' }, before)).toEqual(
    before,
  );
  expect(guessPlace({ locale: 'eo', timeZone: 'UTC' }, before)).toMatchObject({
    currency: expect.any(String),
    timeZone: 'UTC',
  });
});

it('whatever is guessed can be kept', () => {
  for (const locale of LOCALES) {
    const guess = guessPlace({ locale, timeZone: 'UTC' }, before);
    expect(CURRENCIES).toContain(guess.currency);
    expect(readField(localeField, guess.locale, IN_ADDRESSES).ok).toBe(true);
    expect(readField(countryField, guess.country, IN_ADDRESSES).ok).toBe(true);
  }
});

it('lists are those of the world', () => {
  expect(COUNTRIES.length).toBeGreaterThan(240);
  expect(ZONES).toContain('America/Los_Angeles');
  expect(LOCALES).toEqual(expect.arrayContaining(['de-CH', 'fr-CH', 'en-SE', 'ar-EG']));
});

it('what is no place is said at its field', () => {
  expect(readField(localeField, 'not a language!', IN_ADDRESSES)).toMatchObject({
    ok: false,
  });
  expect(readField(zoneField, 'Mars/Olympus', IN_ADDRESSES)).toMatchObject({ ok: false });
  expect(readField(countryField, 'ZZ', IN_ADDRESSES)).toMatchObject({ ok: false });
  expect(readField(closedField, '31 April', IN_ADDRESSES)).toMatchObject({ ok: false });
  expect(readField(closedField, '', IN_ADDRESSES)).toEqual({ ok: true, value: [] });
});
