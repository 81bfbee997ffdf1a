/** Whole units of a millimetre that sizes are reckoned in: sixteenths of an inch are whole. */
export const UNITS = 10_000;

/** @example whole(215.9) // 2159000 */
export const whole = (mm: number): number => Math.round(mm * UNITS);

/** @example inMm(2159000) // 215.9 */
export const inMm = (units: number): number => units / UNITS;
