import { DEMAND_KINDS, LADDER_RULES, PAY_BACK_FIGURES } from '@/core/price';

const MOST = 1e12;
const money = { type: 'integer', minimum: 0, maximum: MOST };
const signed = { type: 'integer', minimum: -MOST, maximum: MOST };
const share = { type: 'number', minimum: 0, maximum: 1 };
const count = { type: 'integer', minimum: 0, maximum: 1e6 };
const atLeastOne = { type: 'integer', minimum: 1, maximum: 1e6 };
const amount = { type: 'number', minimum: 0, maximum: 1e6 };
const mm = { type: 'number', exclusiveMinimum: 0, maximum: 1e5 };
const name = { type: 'string', minLength: 1, maxLength: 200 };
const orNull = <S extends { type: string }>(schema: S) => ({
  ...schema,
  type: [schema.type, 'null'],
});
const object = (required: readonly string[], properties: Record<string, unknown>) => ({
  type: 'object',
  required,
  additionalProperties: false,
  properties,
});
const list = (items: unknown, most = 1000) => ({ type: 'array', maxItems: most, items });

/** What each kind of a thing cannot do without; `key` says its kind. */
const neededBy = (key: string, kinds: Record<string, readonly string[]>) => ({
  allOf: Object.entries(kinds).map(([kind, required]) => ({
    if: { properties: { [key]: { const: kind } }, required: [key] },
    then: { required, properties: Object.fromEntries(required.map((name) => [name, {}])) },
  })),
});

const demand = {
  type: 'object',
  required: ['kind'],
  additionalProperties: false,
  properties: {
    kind: { enum: DEMAND_KINDS },
    mean: amount,
    dispersion: { type: 'number', exclusiveMinimum: 0, maximum: 1e9 },
    low: count,
    likely: count,
    high: count,
    counts: { ...list(count, 10_000), minItems: 1 },
  },
  ...neededBy('kind', {
    poisson: ['mean'],
    negativeBinomial: ['mean', 'dispersion'],
    threePoint: ['low', 'likely', 'high'],
    observed: ['counts'],
  }),
};

const route = object(['name', 'breaks'], {
  name,
  setUp: money,
  leastQuantity: atLeastOne,
  breaks: list(object(['from', 'each'], { from: atLeastOne, each: money })),
  postage: list(object(['upTo', 'cost'], { upTo: orNull(atLeastOne), cost: money })),
  leastPaid: money,
  freePostageFrom: orNull(money),
});

const rounding = object(['step'], {
  step: { ...money, minimum: 1 },
  less: money,
});

const anchor = object(['width', 'height', 'price'], {
  width: mm,
  height: mm,
  price: money,
});

const months = { type: 'integer', minimum: 1, maximum: 600 };

/** What a job of the command line looks like. */
export const PRICE_SCHEMA = object(['currency'], {
  currency: { type: 'string', pattern: '^[A-Z]{3}$' },
  price: money,
  channel: object(['share'], { share, fixed: money, perMonth: money }),
  months: { ...months, minimum: 0 },
  perPrint: money,
  once: money,
  unsoldWorth: signed,
  routes: list(route, 50),
  quantities: {
    type: 'array',
    minItems: 2,
    maxItems: 2,
    items: atLeastOne,
  },
  demand,
  sales: object(['counts', 'ahead'], {
    counts: list(count, 10_000),
    ahead: atLeastOne,
  }),
  testFault: { ...share, maximum: 0.99 },
  simulate: object(['demand', 'months', 'small', 'large', 'batchRoute', 'singleRoute'], {
    demand,
    months: { ...months, maximum: 120 },
    runs: { type: 'integer', minimum: 1, maximum: 100_000 },
    seed: { type: 'integer', minimum: 0, maximum: 4_294_967_295 },
    lead: { type: 'integer', minimum: 0, maximum: 24 },
    most: orNull(count),
    storage: money,
    small: atLeastOne,
    large: atLeastOne,
    batchRoute: name,
    singleRoute: name,
  }),
  channels: object(['of', 'cost'], {
    of: list(
      object(['channel'], {
        channel: name,
        commission: share,
        payment: share,
        advertising: share,
        fixed: money,
        listing: money,
        listingMonths: { type: 'number', exclusiveMinimum: 0, maximum: 120 },
        perMonth: money,
        day: money,
        dayHours: { type: 'number', minimum: 0, maximum: 24 },
        framing: money,
        saleOrReturn: { type: 'boolean' },
        daysUntilPaid: { type: 'integer', minimum: 0, maximum: 3650 },
        basePrice: orNull(money),
      }),
      50,
    ),
    cost: money,
    expected: object([], {
      perMonth: amount,
      perDay: amount,
      monthsListed: amount,
      hour: money,
    }),
    wantedNet: orNull(money),
    rounding,
  }),
  secondBatch: { type: 'boolean' },
  impression: object([], {
    ...Object.fromEntries(
      [
        ...['printing', 'paper', 'capture', 'proofs', 'finishing', 'packing', 'postage'],
        ...['hourlyRate', 'wear', 'donation'],
      ].map((part) => [part, money]),
    ),
    ...Object.fromEntries(
      ['hours', 'signingHours', 'finishingHours', 'packingHours'].map((h) => [h, amount]),
    ),
    expectedImpressions: { type: 'integer', minimum: 1, maximum: 100_000 },
    spoilage: { type: 'number', minimum: 0, maximum: 0.95 },
  }),
  tax: object(['share'], {
    name: { type: 'string', maxLength: 40 },
    share,
    included: { type: 'boolean' },
  }),
  ladder: object(['items', 'rule'], {
    items: list(
      object(['id', 'width', 'height'], {
        id: name,
        width: mm,
        height: mm,
        paper: { type: 'string', maxLength: 200 },
        framed: { type: 'boolean' },
        framing: money,
        edition: orNull({ type: 'integer', minimum: 1, maximum: 100_000 }),
        sold: count,
        cost: money,
        byHand: orNull(money),
      }),
    ),
    rule: {
      type: 'object',
      required: ['by'],
      additionalProperties: false,
      properties: {
        by: { enum: LADDER_RULES },
        through: anchor,
        and: orNull(anchor),
        original: anchor,
        share: { type: 'number', exclusiveMinimum: 0, maximum: 10 },
        along: { enum: ['area', 'lengthPlusWidth'] },
        margin: { type: 'number', minimum: -10, exclusiveMaximum: 1 },
        fees: object([], { commission: share, payment: share, fixed: money }),
      },
      ...neededBy('by', {
        area: ['through'],
        lengthPlusWidth: ['through'],
        shareOfOriginal: ['original'],
        margin: ['margin'],
      }),
    },
    limitedTimes: { type: 'number', exclusiveMinimum: 0, maximum: 100 },
    framedMore: money,
    framedTimes: { type: 'number', minimum: 0, maximum: 100 },
    papers: list(
      object(['paper', 'times'], {
        paper: name,
        times: { type: 'number', exclusiveMinimum: 0, maximum: 100 },
      }),
    ),
    steps: orNull(
      object(['every', 'by'], {
        every: { type: 'number', minimum: 0.01, maximum: 1 },
        by: { type: 'number', minimum: 0, maximum: 10 },
      }),
    ),
    rounding,
    ceiling: orNull(money),
    near: object(['size', 'price'], { size: amount, price: amount }),
  }),
  printer: object(['first', 'elsewhere', 'own', 'pace'], {
    first: money,
    perMonth: money,
    elsewhere: money,
    own: money,
    pace: amount,
    growth: { type: 'number', exclusiveMinimum: -1, maximum: 10 },
    off: object([], Object.fromEntries(PAY_BACK_FIGURES.map((f) => [f, share]))),
  }),
});
