import { minor } from '../units';
import type { Minor } from '../units';
import type { ChannelTerms } from './channels';
import { add, exactly, lowest, multiply, nearestWhole, signOf, subtract } from './exact';
import type { Fraction } from './exact';
import { fewestFor } from './fewest';
import { roundedUp } from './rounding';
import type { Rounding } from './rounding';

/** How much is expected to be sold, so that what is paid beside a sale has its share in it. */
export interface ExpectedSales {
  perMonth: number;
  /** On a day that the channel is held. */
  perDay: number;
  /** Months that a piece is listed until it is sold. */
  monthsListed: number;
  /** What an hour of work is worth, minor units. */
  hour: number;
}

export type Fee =
  | 'commission'
  | 'payment'
  | 'advertising'
  | 'fixed'
  | 'listing'
  | 'perMonth'
  | 'day'
  | 'framing';

/** One sale through one channel. `fees` adds up the parts; net = gross - fees - cost. */
export interface ChannelSale {
  gross: Minor;
  parts: { fee: Fee; amount: Minor }[];
  fees: Minor;
  cost: Minor;
  net: Minor;
  /** Net as a share of the price. */
  margin: number;
  /** Sales a month, and a day, that pay what is paid anyhow; null where no sale pays it. */
  mustSell: { perMonth: number | null; perDay: number | null };
}

const ZERO: Fraction = { n: 0n, d: 1n };

/** a / b, nothing where there is no b. */
const over = (a: Fraction, b: number): Fraction => {
  const by = exactly(b);
  return by.n === 0n ? ZERO : { n: a.n * by.d, d: a.d * by.n };
};

/** Up to a fee, what of a sale goes: (price x share + fixed) / by, in whole numbers. */
interface UpTo {
  fee: Fee;
  share: bigint;
  fixed: bigint;
  by: bigint;
}

/** A channel made ready, so that many sales through it are quick. */
export interface ReadyChannel {
  upTo: readonly UpTo[];
  /** What is left of a price when all shares are taken, and what goes whatever it is. */
  left: Fraction;
  fixed: Fraction;
  /** Of `fixed`, what goes with each sale; the rest is paid anyhow. */
  each: Fraction;
  perMonth: Fraction;
  day: Fraction;
  basePrice: Minor | null;
}

/** Makes a channel ready: its fees one after another, each added to those before. */
export function readyChannel(terms: ChannelTerms, expected: ExpectedSales): ReadyChannel {
  const listings = Math.max(1, Math.ceil(expected.monthsListed / terms.listingMonths));
  const perMonth = exactly(terms.perMonth);
  const work = multiply(exactly(terms.dayHours), exactly(expected.hour));
  const day = add(exactly(terms.day), work);
  const fees: { fee: Fee; share?: Fraction; fixed?: Fraction; anyhow?: true }[] = [
    { fee: 'commission', share: exactly(terms.commission) },
    { fee: 'payment', share: exactly(terms.payment) },
    { fee: 'advertising', share: exactly(terms.advertising) },
    { fee: 'fixed', fixed: exactly(terms.fixed) },
    { fee: 'listing', fixed: multiply(exactly(terms.listing), exactly(listings)) },
    { fee: 'perMonth', fixed: over(perMonth, expected.perMonth), anyhow: true },
    { fee: 'day', fixed: over(day, expected.perDay), anyhow: true },
    { fee: 'framing', fixed: exactly(terms.framing) },
  ];
  let [share, fixed, each] = [ZERO, ZERO, ZERO];
  const upTo = fees.map((f): UpTo => {
    share = lowest(add(share, f.share ?? ZERO));
    fixed = lowest(add(fixed, f.fixed ?? ZERO));
    if (!f.anyhow) each = lowest(add(each, f.fixed ?? ZERO));
    return {
      fee: f.fee,
      share: share.n * fixed.d,
      fixed: fixed.n * share.d,
      by: share.d * fixed.d,
    };
  });
  const left = subtract(exactly(1), share);
  return { upTo, left, fixed, each, perMonth, day, basePrice: terms.basePrice };
}

/** What a print costs here: the base price of a channel that makes it, else the studio's cost. */
const costThrough = (cost: Minor, { basePrice }: ReadyChannel): Minor => basePrice ?? cost;

/**
 * What a sale at a price leaves through a channel: each fee by itself, and all of them. The sum
 * is rounded once, halves up; the parts are rounded so that they add up to it.
 */
export function saleThrough(price: Minor, cost: Minor, channel: ReadyChannel): ChannelSale {
  let taken = 0;
  const parts = channel.upTo.flatMap(({ fee, share, fixed, by }) => {
    const before = taken;
    taken = nearestWhole({ n: BigInt(price) * share + fixed, d: by });
    return taken === before ? [] : [{ fee, amount: minor(taken - before) }];
  });
  const here = costThrough(cost, channel);
  const net = minor(price - taken - here);
  // What one more sale adds, before what is paid anyhow.
  const adds = subtract(
    subtract(multiply(exactly(price), channel.left), exactly(here)),
    channel.each,
  );
  return {
    gross: price,
    parts,
    fees: minor(taken),
    cost: here,
    net,
    margin: price === 0 ? 0 : net / price,
    mustSell: {
      perMonth: fewestFor(channel.perMonth, adds),
      perDay: fewestFor(channel.day, adds),
    },
  };
}

/**
 * The lowest price, in a rounding's style, that leaves at least `net` through a channel; null
 * where the channel's shares take all of any price.
 */
export function priceForNet(
  net: Minor,
  cost: Minor,
  channel: ReadyChannel,
  rounding: Rounding,
): Minor | null {
  const { left, fixed } = channel;
  if (signOf(left) <= 0) return null;
  const asked = add(fixed, exactly(net + costThrough(cost, channel)));
  const exact = { n: asked.n * left.d, d: asked.d * left.n };
  const price = roundedUp(signOf(exact) < 0 ? ZERO : exact, rounding);
  // Fees are rounded to the minor unit: half of one may be too much, or still be there.
  const leaves = (p: number) => saleThrough(minor(p), cost, channel).net >= net;
  const before = price - rounding.step;
  if (before >= 0 && leaves(before)) return minor(before);
  return leaves(price) ? price : roundedUp(exactly(price + 1), rounding);
}
