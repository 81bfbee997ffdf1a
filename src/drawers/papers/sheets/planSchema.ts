const number = { type: 'number' };
const string = { type: 'string', maxLength: 60 };
const boolean = { type: 'boolean' };
const nullable = { anyOf: [{ type: 'null' }, number] };

/** Something with all of its parts, and no other. */
const whole = (properties: Record<string, unknown>, optional: readonly string[] = []) => ({
  type: 'object',
  additionalProperties: false,
  required: Object.keys(properties).filter((p) => !optional.includes(p)),
  properties,
});
const list = (items: unknown, maxItems: number) => ({ type: 'array', maxItems, items });

/** A piece that stays, as a page sends it. */
export const lockSchema = whole(
  { piece: string, copy: number, sheet: number, x: number, y: number, turned: boolean },
  ['x', 'y', 'turned'],
);

const box = { x: number, y: number, width: number, height: number };

/** A plan, as a page sends it; whether it is one of the job is judged after. */
export const planSchema = whole({
  sheets: list(
    whole({
      stock: string,
      width: number,
      length: number,
      places: list(whole({ piece: string, copy: number, ...box, turned: boolean }), 1000),
      cuts: list(whole({ x1: number, y1: number, x2: number, y2: number }), 5000),
      rests: list(whole({ ...box, kept: boolean }), 5000),
      cost: nullable,
    }),
    1000,
  ),
  unplaced: list(
    whole({
      piece: string,
      copy: number,
      why: { enum: ['noStock', 'tooLarge', 'longestCut', 'notEnough'] },
    }),
    1000,
  ),
  wasteShare: number,
  yieldShare: number,
  cost: nullable,
  bound: nullable,
  boundOf: { enum: ['sheets', 'rollLength'] },
  proved: boolean,
});
