import { INK_PAPERS, INK_ROLES } from '@/core/ink';

const positive = { type: 'number', exclusiveMinimum: 0, maximum: 1e6 };
const share = { type: 'number', minimum: 0, maximum: 1 };
const day = { type: 'string', format: 'date' };
const id = { type: 'integer', minimum: 1 };
const object = (required: readonly string[], properties: Record<string, unknown>) => ({
  type: 'object',
  required,
  additionalProperties: false,
  properties,
});
const list = (items: unknown) => ({ type: 'array', maxItems: 100_000, items });

/** What a job of the command line looks like. */
export const INK_SCHEMA = object(['inks', 'today'], {
  today: day,
  deliveryDays: { type: 'integer', minimum: 0, maximum: 365 },
  inks: list(
    object(['id', 'role', 'ml'], {
      id,
      role: { enum: INK_ROLES },
      papers: { enum: INK_PAPERS },
      ml: positive,
      price: { type: 'integer', minimum: 0, maximum: 1e9 },
    }),
  ),
  printed: list(
    object(['day', 'area'], {
      day,
      area: positive,
      covers: list(object(['ink', 'share'], { ink: id, share })),
    }),
  ),
  changes: list(
    object(['ink', 'day'], {
      ink: id,
      day,
      ml: positive,
      wasLeft: share,
      firstFill: { type: 'boolean' },
    }),
  ),
  gauges: list(object(['ink', 'day', 'share'], { ink: id, day, share })),
  cleanings: list(object(['day'], { day, times: positive })),
  bought: list(
    object(['ink', 'day', 'pieces'], {
      ink: id,
      day,
      pieces: { type: 'integer', minimum: 1, maximum: 100 },
    }),
  ),
});
