import { basename } from 'node:path';
import { NO_TAX, answerPrice, priceJobFault } from '@/core/price';
import type {
  Anchor,
  CostInput,
  TaxRule,
  LadderItem,
  LadderRule,
  NamedTerms,
  PayBackFigures,
  PriceAnswer,
  PriceJob,
  Rounding,
  RoutePrices,
} from '@/core/price';
import { minor } from '@/core/units';
import { priceFaultWords } from '../words/priceFaultWords';
import { BadJob, readJobFile } from './jobFile';
import { PRICE_SCHEMA } from './priceSchema';

type Loose<T, Needed extends keyof T> = Partial<Omit<T, Needed>> & Pick<T, Needed>;

/** A job as it is written: what is left out is usual, or nothing. */
interface WrittenJob {
  currency: string;
  price?: number;
  channel?: { share: number; fixed?: number; perMonth?: number };
  months?: number;
  perPrint?: number;
  once?: number;
  unsoldWorth?: number;
  routes?: Loose<RoutePrices, 'name' | 'breaks'>[];
  quantities?: [number, number];
  demand?: PriceJob['demand'];
  sales?: PriceJob['sales'];
  testFault?: number;
  secondBatch?: boolean;
  impression?: Partial<CostInput>;
  tax?: Partial<TaxRule> & Pick<TaxRule, 'share'>;
  simulate?: Loose<
    NonNullable<PriceJob['simulate']>,
    'demand' | 'months' | 'small' | 'large' | 'batchRoute' | 'singleRoute'
  >;
  channels?: {
    of: Loose<NamedTerms, 'channel'>[];
    cost: number;
    expected?: Partial<NonNullable<PriceJob['channels']>['expected']>;
    wantedNet?: number | null;
    rounding?: Loose<Rounding, 'step'>;
  };
  ladder?: Loose<
    Omit<NonNullable<PriceJob['ladder']>, 'items' | 'rule' | 'rounding'>,
    never
  > & {
    items: Loose<LadderItem, 'id' | 'width' | 'height'>[];
    rule: WrittenRule;
    rounding?: Loose<Rounding, 'step'>;
  };
  printer?: Loose<PayBackFigures, 'first' | 'elsewhere' | 'own' | 'pace'> & {
    off?: NonNullable<PriceJob['printer']>['off'];
  };
}

interface WrittenRule {
  by: LadderRule['by'];
  through?: Anchor;
  and?: Anchor | null;
  original?: Anchor;
  share?: number;
  along?: 'area' | 'lengthPlusWidth';
  margin?: number;
  fees?: { commission?: number; payment?: number; fixed?: number };
}

const none = minor(0);

const roundingOf = (r: Loose<Rounding, 'step'> | undefined): Rounding => ({
  step: minor(1),
  less: none,
  ...r,
});

/** The schema has held it against its kind: what a kind needs is there. */
function ruleOf(r: WrittenRule): LadderRule {
  switch (r.by) {
    case 'area':
    case 'lengthPlusWidth':
      return { by: r.by, through: r.through!, and: r.and ?? null };
    case 'shareOfOriginal':
      return {
        by: r.by,
        original: r.original!,
        share: r.share ?? 1 / 3,
        along: r.along ?? 'area',
      };
    case 'margin': {
      const fees = {
        commission: 0,
        payment: 0,
        ...r.fees,
        fixed: minor(r.fees?.fixed ?? 0),
      };
      return { by: r.by, margin: r.margin!, fees };
    }
    case 'hand':
      return { by: r.by };
  }
}

const channelOf = (c: Loose<NamedTerms, 'channel'>): NamedTerms => ({
  commission: 0,
  payment: 0,
  advertising: 0,
  fixed: none,
  listing: none,
  listingMonths: 1,
  perMonth: none,
  day: none,
  dayHours: 0,
  framing: none,
  saleOrReturn: false,
  daysUntilPaid: 0,
  basePrice: null,
  ...c,
});

function channelsOf(written: WrittenJob['channels']): PriceJob['channels'] {
  if (!written) return undefined;
  const { of, cost, expected, wantedNet = null, rounding } = written;
  return {
    of: of.map(channelOf),
    cost,
    expected: { perMonth: 0, perDay: 0, monthsListed: 0, hour: 0, ...expected },
    wantedNet,
    rounding: roundingOf(rounding),
  };
}

function ladderOf(written: WrittenJob['ladder']): PriceJob['ladder'] {
  if (!written) return undefined;
  const { items, rule, rounding, ...terms } = written;
  const usual = { paper: '', framed: false, edition: null, sold: 0, cost: 0, framing: 0 };
  return {
    limitedTimes: 1,
    framedMore: 0,
    framedTimes: 0,
    papers: [],
    steps: null,
    ceiling: null,
    near: { size: 0.15, price: 0.1 },
    ...terms,
    items: items.map((i) => ({ ...usual, byHand: null, ...i })),
    rule: ruleOf(rule),
    rounding: roundingOf(rounding),
  };
}

/** What is left out costs nothing; what is paid once is spread over a single one. */
const NOTHING_COSTS: CostInput = {
  ...{ printing: minor(0), paper: minor(0), capture: minor(0), proofs: minor(0) },
  ...{ expectedImpressions: 1, spoilage: 0, finishing: minor(0), packing: minor(0) },
  ...{ postage: minor(0), hours: 0, hourlyRate: minor(0) },
};

function jobOf(written: WrittenJob): PriceJob {
  const { channel, routes = [], simulate, printer } = written;
  const { off = {}, ...figures } = printer ?? {};
  return {
    months: 0,
    perPrint: 0,
    once: 0,
    unsoldWorth: 0,
    ...written,
    quantities: written.quantities ?? [1, 200],
    channel: channel && { fixed: 0, perMonth: 0, ...channel },
    routes: routes.map((r) => ({ setUp: 0, leastQuantity: 1, postage: [], ...r })),
    simulate: simulate && {
      runs: 1000,
      seed: 1,
      lead: 0,
      most: null,
      storage: 0,
      ...simulate,
    },
    impression: written.impression && { ...NOTHING_COSTS, ...written.impression },
    tax: written.tax && { ...NO_TAX, ...written.tax },
    channels: channelsOf(written.channels),
    ladder: ladderOf(written.ladder),
    printer: printer && {
      figures: { perMonth: 0, growth: 0, ...(figures as typeof printer) },
      off,
    },
  };
}

/** Answers what a file asks of prices. Throws BadJob, in words. */
export async function priceOfFile(
  path: string,
  say: (share: number) => void,
): Promise<PriceAnswer> {
  const job = jobOf(await readJobFile<WrittenJob>(path, PRICE_SCHEMA, 'docs/pricing.md'));
  const fault = priceJobFault(job);
  if (fault) throw new BadJob(`${basename(path)}: ${priceFaultWords(fault)}`);
  const answering = answerPrice(job);
  for (;;) {
    const step = answering.next();
    if (step.done) return step.value;
    say(step.value);
  }
}
