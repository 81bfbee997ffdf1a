import type { BatchExpected, TestFirst } from '../batch';
import type { ChannelTerms } from '../channels';
import type { CostBreakdown, CostInput } from '../cost';
import type { Demand, DemandBecause } from '../demand';
import type { Ladder, LadderItem, LadderTerms } from '../ladder';
import type { PayBack, PayBackBand, PayBackFigure, PayBackFigures, Swing } from '../own';
import type { Rounding } from '../rounding';
import type { Cheapest, OrderMore, RisingBreak, RouteCost, RoutePrices } from '../routes';
import type { ChannelSale, ExpectedSales } from '../sale';
import type { SimulatedPolicy } from '../simulate';
import type { TaxRule, Taxed } from '../tax';

/** A channel by its name, with what it asks. */
export interface NamedTerms extends ChannelTerms {
  channel: string;
}

/** Questions of price, all of one size unless it is said otherwise. Money in minor units. */
export interface PriceJob {
  currency: string;
  price?: number;
  /** What the channel of the batch takes; `perMonth` is paid for each of `months`. */
  channel?: { share: number; fixed: number; perMonth: number };
  months: number;
  perPrint: number;
  once: number;
  unsoldWorth: number;
  routes: readonly RoutePrices[];
  quantities: readonly [number, number];
  demand?: Demand;
  /** Sold in each of the last periods; `ahead` periods are to come. */
  sales?: { counts: readonly number[]; ahead: number };
  /** Whether what is missing may be printed in a second batch. */
  secondBatch?: boolean;
  /** What one impression is made of. */
  impression?: CostInput;
  /** A local tax: said of the price, in no other figure. */
  tax?: TaxRule;
  /** The chance that a print of a batch is found to be wrong, and with it all of them. */
  testFault?: number;
  simulate?: {
    /** Of one month. */
    demand: Demand;
    months: number;
    runs: number;
    seed: number;
    lead: number;
    most: number | null;
    storage: number;
    small: number;
    large: number;
    batchRoute: string;
    singleRoute: string;
  };
  channels?: {
    of: readonly NamedTerms[];
    cost: number;
    expected: ExpectedSales;
    wantedNet: number | null;
    rounding: Rounding;
  };
  ladder?: LadderTerms & { items: readonly LadderItem[] };
  printer?: { figures: PayBackFigures; off: Partial<Record<PayBackFigure, number>> };
}

/** What makes no sense in a job, as data. `of` names what is meant. */
export interface JobFault {
  what:
    | 'noBreaks'
    | 'hole'
    | 'overlap'
    | 'postageHole'
    | 'postageOverlap'
    | 'twice'
    | 'quantities'
    | 'nothingAsked'
    | 'demand'
    | 'noRoute'
    | 'needsPrice'
    | 'anchor'
    | 'share'
    | 'tooLong'
    | 'currency';
  of: string;
  from?: number;
  to?: number;
}

/** What is possible and reckoned with, and is said: prices that rise with the quantity, losses. */
export type JobWarning =
  | ({ what: 'risingBreak' } & RisingBreak)
  /** A sale leaves less than a print costs whoever prints it. */
  | { what: 'saleLoses'; left: number; perPrint: number }
  /** No batch of the route is expected to be paid. */
  | { what: 'everyBatchLoses'; route: string; least: number }
  /** The best batch is the largest that was looked at. */
  | { what: 'bestMayBeLarger'; route: string; to: number };

/** A channel's answer: what the price leaves there, and what would have to be asked. */
export interface ChannelAnswer extends ChannelSale {
  channel: string;
  /** For the wanted net; null where it was not asked, or no price leaves it. */
  priceForNet: number | null;
}

/** The answers; null where a question was not asked. */
export interface PriceAnswer {
  currency: string;
  /** Part by part, and what one costs when 1, 2, … are sold, up to twice what is expected. */
  impression: (CostBreakdown & { overSold: number[] }) | null;
  tax: Taxed | null;
  cost: RouteCost[];
  cheapest: Cheapest[];
  cheaperToOrderMore: OrderMore[];
  /** What is possible, and odd. */
  warnings: JobWarning[];
  breakEven: { route: string; quantity: number; sold: number | null }[] | null;
  /** Sales a month that pay the channel's monthly fee; null where no sale does. */
  monthlyFee: { perMonth: number; sold: number | null } | null;
  demand: { used: Demand | null; because: DemandBecause | null } | null;
  bestBatch:
    | {
        route: string;
        quantity: number;
        expectedProfit: number;
        off: number;
        low: number;
        high: number;
        half: { quantity: number; loses: number } | null;
        test: TestFirst | null;
      }[]
    | null;
  batches: ({ route: string } & BatchExpected)[] | null;
  simulated: SimulatedPolicy[] | null;
  channels: ChannelAnswer[] | null;
  ladder: Ladder | null;
  printer: (PayBack & { band: PayBackBand; swings: Swing[] }) | null;
}
