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
 * A calendar day as the locale writes it, from an ISO day or instant (UTC): `4 Mar 2026`.
 * @example formatDay('2026-03-04', 'en-GB') // '4 Mar 2026'
 */
export const formatDay = (iso: string, locale: string): string =>
  kept(
    days,
    locale,
    () =>
      new Intl.DateTimeFormat(locale, {
        day: 'numeric',
        month: 'short',
        year: 'numeric',
        timeZone: 'UTC',
      }),
  ).format(new Date(iso.length === 10 ? `${iso}T12:00:00Z` : iso));
