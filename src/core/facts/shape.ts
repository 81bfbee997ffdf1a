/** Whether a value is what it is taken for. */
export type Guard<T> = (value: unknown) => value is T;

/** Whether a stored value is text. */
export const isText = (value: unknown): value is string => typeof value === 'string';
/** Whether a stored value is true or false. */
export const isFlag = (value: unknown): value is boolean => typeof value === 'boolean';
/**
 * Finite: neither NaN nor infinite.
 * @example isFigure(NaN) // false
 */
export const isFigure = (value: unknown): value is number => Number.isFinite(value);
/**
 * Whether a stored value is the number of a row: a whole number above 0.
 * @example isRow(0) // false
 */
export const isRow = (value: unknown): value is number =>
  Number.isSafeInteger(value) && (value as number) > 0;

/**
 * The guarded value, or null.
 * @example orNull(isText)(null) // true
 */
export const orNull =
  <T>(guard: Guard<T>): Guard<T | null> =>
  (value): value is T | null =>
    value === null || guard(value);

/**
 * One of some values.
 * @example oneOf('a', 'b')('c') // false
 */
export const oneOf =
  <const T>(...of: readonly T[]): Guard<T> =>
  (value): value is T =>
    (of as readonly unknown[]).includes(value);

/**
 * A list of guarded values; an empty one is one, too.
 * @example listOf(isText)([1]) // false
 */
export const listOf =
  <T>(guard: Guard<T>): Guard<T[]> =>
  (value): value is T[] =>
    Array.isArray(value) && value.every((v) => guard(v));

type Guarded<S> = { [K in keyof S]: S[K] extends Guard<infer T> ? T : never };

/**
 * Whether a value is an object whose named parts are what they are taken for; what else it
 * holds is not looked at.
 * @example shape({ x: isFigure, name: isText })({ x: 1, name: 'a' }) // true
 */
export const shape =
  <S extends Record<string, Guard<unknown>>>(parts: S): Guard<Guarded<S>> =>
  (value): value is Guarded<S> =>
    typeof value === 'object' &&
    value !== null &&
    Object.entries(parts).every(([name, guard]) =>
      guard((value as Record<string, unknown>)[name]),
    );

/** Whether every value of an object is what it is taken for, whatever its keys. */
export const recordOf =
  <T>(guard: Guard<T>): Guard<Record<string, T>> =>
  (value): value is Record<string, T> =>
    typeof value === 'object' &&
    value !== null &&
    !Array.isArray(value) &&
    Object.values(value).every((v) => guard(v));
