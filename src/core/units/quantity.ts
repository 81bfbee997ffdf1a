declare const unit: unique symbol;

/**
 * A number that carries its unit in its type. Plain `+` on two quantities gives a bare
 * number, which no function that wants a quantity accepts; `sum`, `minus` and `times`
 * keep the unit.
 */
export type Quantity<U extends string> = number & { readonly [unit]: U };

export type Millimetres = Quantity<'mm'>;
export type Inches = Quantity<'in'>;
export type SquareMetres = Quantity<'m2'>;
export type Grams = Quantity<'g'>;
export type GramsPerSquareMetre = Quantity<'g/m2'>;
/** Pixels per inch. */
export type Ppi = Quantity<'ppi'>;
export type Pixels = Quantity<'px'>;
/** Money in minor units (cents) of the studio's one currency; always whole. */
export type Minor = Quantity<'minor'>;

/** A length, millimetres. */
export const mm = (n: number) => n as Millimetres;
/** A length, inches. */
export const inches = (n: number) => n as Inches;
/** An area, square metres. */
export const squareMetres = (n: number) => n as SquareMetres;
/** A mass, grams. */
export const grams = (n: number) => n as Grams;
/** A paper’s weight, grams a square metre. */
export const gsm = (n: number) => n as GramsPerSquareMetre;
/** A resolution, pixels an inch. */
export const ppi = (n: number) => n as Ppi;
/** A number of pixels along an edge. */
export const pixels = (n: number) => n as Pixels;
/** An amount in the minor units of its currency: cents of EUR, whole yen. */
export const minor = (n: number) => Math.round(n) as Minor;
