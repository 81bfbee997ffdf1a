/** How a figure is written, with so many decimals. */
export type Written = (value: number, digits: number) => string;

/** As files and programs write them. */
export const PLAIN: Written = (value, digits) => value.toFixed(digits);
