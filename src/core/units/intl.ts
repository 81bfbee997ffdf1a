/** Formatters are dear to make and asked for thousands of times a page: each is made once. */
const numbers = new Map<string, Intl.NumberFormat>();
const days = new Map<string, Intl.DateTimeFormat>();

function kept<T>(made: Map<string, T>, key: string, make: () => T): T {
  let one = made.get(key);
  if (one === undefined) made.set(key, (one = make()));
  return one;
}

/** The locale's number formatter with these options. */
export const numberFormat = (
  locale: string,
  options: Intl.NumberFormatOptions,
): Intl.NumberFormat =>
  kept(
    numbers,
    `${locale} ${JSON.stringify(options)}`,
    () => new Intl.NumberFormat(locale, options),
  );

/**
 * A calendar day as the locale writes it: of an ISO day that day, of an ISO instant the day that
 * it is then in the time zone (IANA).
 * @example formatDay('2026-03-04', 'en-GB', 'UTC') // '4 Mar 2026'
 */
export function formatDay(iso: string, locale: string, zone: string): string {
  const timeZone = iso.length === 10 ? 'UTC' : zone;
  return kept(
    days,
    `${locale} ${timeZone}`,
    () =>
      new Intl.DateTimeFormat(locale, {
        day: 'numeric',
        month: 'short',
        year: 'numeric',
        timeZone,
      }),
  ).format(new Date(iso.length === 10 ? `${iso}T12:00:00Z` : iso));
}
