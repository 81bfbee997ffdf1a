import { minor } from '../../units';
import type { Minor } from '../../units';
import type { ChannelTerms } from '../channels';
import { add, exactly, multiply } from '../exact';
import type { Fraction } from '../exact';
import { roundedDown, roundedUp } from '../rounding';
import type { Rounding } from '../rounding';
import { readyChannel, saleThrough } from '../sale';
import type { ChannelSale, ExpectedSales, ReadyChannel } from '../sale';
import { rulePrice } from './rules';
import type { LadderRule } from './rules';
import { editionSteps } from './steps';
import type { EditionSteps } from './steps';
import type { LadderItem } from './types';
import { betweenItems, underCost } from './warnings';
import type { LadderWarning, Near } from './warnings';

/** A channel that the ladder is sold through. */
export interface LadderChannel {
  channel: string;
  terms: ChannelTerms;
  expected: ExpectedSales;
}

interface Through {
  channel: string;
  ready: ReadyChannel;
}

/** How the prices of a work's prints are made. */
export interface LadderTerms {
  rule: LadderRule;
  /** A limited one costs so many times what the rule gives, a framed one so much more. */
  limitedTimes: number;
  framedMore: number;
  /** And so many times what its mat and frame cost. */
  framedTimes: number;
  /** A print on one of these papers costs so many times what it costs on any other. */
  papers: readonly { paper: string; times: number }[];
  steps: EditionSteps | null;
  rounding: Rounding;
  /** Nothing is asked above it; null: no ceiling. */
  ceiling: number | null;
  near: Near;
}

/** What an edition costs from its `from`-th print on. */
export interface LadderStep {
  from: number;
  price: Minor;
}

/** A print of the ladder with what it costs. */
export interface LadderRow {
  id: string;
  /** Asked for the next one; null where the rule gives none, or the edition is sold out. */
  price: Minor | null;
  /** Of an open one: a single step. */
  steps: LadderStep[];
  /** What the last one of an edition costs, and what all of it earns, gross; null of an open one. */
  last: Minor | null;
  earns: { gross: Minor; net: Minor } | null;
  /** What the next one leaves on each channel. */
  sales: { channel: string; sale: ChannelSale }[];
}

export interface Ladder {
  rows: LadderRow[];
  warnings: LadderWarning[];
}

const priceIn = ({ rounding, ceiling }: LadderTerms, exact: Fraction): Minor => {
  const price = roundedUp(exact, rounding);
  return ceiling !== null && price > ceiling
    ? roundedDown(minor(ceiling), rounding)
    : price;
};

/** What a rule gives for a print, limited and on its paper; by hand it is what was typed. */
function basePrice(terms: LadderTerms, item: LadderItem): Fraction | null {
  const rule = rulePrice(terms.rule, item);
  if (!rule || terms.rule.by === 'hand') return rule;
  const limited =
    item.edition === null ? rule : multiply(rule, exactly(terms.limitedTimes));
  const onPaper = terms.papers.find((p) => p.paper === item.paper);
  return onPaper ? multiply(limited, exactly(onPaper.times)) : limited;
}

/** What a frame adds: it stays the same while an edition's price rises. */
function frameAdds(terms: LadderTerms, { framed, framing }: LadderItem): Fraction {
  if (!framed || terms.rule.by === 'hand') return exactly(0);
  const times = multiply(exactly(framing ?? 0), exactly(terms.framedTimes));
  return add(exactly(terms.framedMore), times);
}

/** What all prints of an edition bring through a channel, from the first to the last. */
function earnsOf(
  item: LadderItem,
  steps: readonly LadderStep[],
  through: Through | undefined,
): { gross: Minor; net: Minor } {
  let [gross, net] = [0, 0];
  steps.forEach(({ from, price }, i) => {
    const count = (steps[i + 1]?.from ?? item.edition! + 1) - from;
    gross += count * price;
    net +=
      count *
      (through
        ? saleThrough(price, minor(item.cost), through.ready).net
        : price - item.cost);
  });
  return { gross: minor(gross), net: minor(net) };
}

function rowOf(
  terms: LadderTerms,
  item: LadderItem,
  channels: readonly Through[],
): { row: LadderRow; wanted: number | null } {
  const base = basePrice(terms, item);
  const none = { id: item.id, price: null, steps: [], last: null, earns: null, sales: [] };
  if (!base || base.n <= 0n) return { row: none, wanted: null };
  const { edition, sold } = item;
  const exact = editionSteps(edition ?? 1, edition === null ? null : terms.steps);
  const frame = frameAdds(terms, item);
  const at = (factor: Fraction) => add(multiply(base, factor), frame);
  const steps = exact.map(({ from, factor }) => ({
    from,
    price: priceIn(terms, at(factor)),
  }));
  const there = edition === null || sold < edition;
  const next = edition === null ? 1 : sold + 1;
  const price = there ? steps.findLast((s) => s.from <= next)!.price : null;
  // A ceiling is said of the last price that an edition reaches.
  const wanted = roundedUp(at(exact.at(-1)!.factor), terms.rounding);
  return {
    row: {
      id: item.id,
      price,
      steps,
      last: edition === null ? null : steps.at(-1)!.price,
      earns: edition === null ? null : earnsOf(item, steps, channels[0]),
      sales:
        price === null
          ? []
          : channels.map(({ channel, ready }) => ({
              channel,
              sale: saleThrough(price, minor(item.cost), ready),
            })),
    },
    wanted,
  };
}

/**
 * The prices of all prints of a work by one rule, with what each leaves on each channel, how an
 * edition's price rises as it sells, and what is odd in it. What an edition earns net is through
 * the first channel; without channels, after cost alone.
 */
export function priceLadder(
  items: readonly LadderItem[],
  terms: LadderTerms,
  channels: readonly LadderChannel[],
): Ladder {
  const through = channels.map(({ channel, terms: of, expected }) => ({
    channel,
    ready: readyChannel(of, expected),
  }));
  const rows = items.map((item) => rowOf(terms, item, through));
  const { ceiling } = terms;
  const asked = items.flatMap((item, i) => {
    const { price } = rows[i]!.row;
    return price === null ? [] : [{ item, price }];
  });
  return {
    rows: rows.map((r) => r.row),
    warnings: [
      ...rows.flatMap(({ row, wanted }): LadderWarning[] =>
        wanted === null
          ? [{ what: 'noPrice', of: row.id }]
          : ceiling !== null && wanted > ceiling
            ? [{ what: 'ceiling', of: row.id, wanted }]
            : [],
      ),
      ...betweenItems(asked, terms.near),
      ...rows.flatMap(({ row }) => underCost(row.id, row.sales)),
    ],
  };
}
