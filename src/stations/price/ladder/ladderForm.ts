import {
  choice,
  decimal,
  defineForm,
  hinted,
  json,
  money,
  optional,
  percent,
} from '@/core/input';
import { rowNumber, text } from '@/core/input';
import { LADDER_RULES } from '@/core/price';
import type { Rounding } from '@/core/price';
import { currencyDigits, minor } from '@/core/units';

const MOST = 1e10;
const paid = (title: string) => money(title, { min: 0, max: MOST });

/** How prices can be rounded, all upwards. */
export const ROUNDINGS = ['1', '5', '10', '.95'] as const;
export type RoundingId = (typeof ROUNDINGS)[number];

/** A rounding in a currency: of main units; .95 is five hundredths less than a whole one. */
export function roundingOf(id: RoundingId, currency: string): Rounding {
  const one = 10 ** currencyDigits(currency);
  return id === '.95'
    ? { step: minor(one), less: minor(Math.floor(one / 20)) }
    : { step: minor(Number(id) * one), less: minor(0) };
}

/** Which of them a rounding is; the first where it is none. */
export const roundingId = (rounding: Rounding, currency: string): RoundingId =>
  ROUNDINGS.find((id) => {
    const { step, less } = roundingOf(id, currency);
    return step === rounding.step && less === rounding.less;
  }) ?? '1';

/** How the prices of a work are made. */
export const ladderForm = defineForm({
  by: choice('The ladder follows', LADDER_RULES),
  throughSize: text('Through', { min: 0, max: 40 }),
  throughPrice: paid('costs'),
  andSize: text('and', { min: 0, max: 40 }),
  andPrice: paid('costs'),
  originalPrice: paid('The original costs'),
  share: hinted(
    percent('At its size a print costs', { above: 0, max: 1000 }),
    'rule of thumb: a third',
  ),
  margin: percent('Margin through the own site', { min: -900, max: 95 }),
  limitedTimes: hinted(
    decimal('A limited one costs', { above: 0, max: 100 }, 'times'),
    'what an open one of its size would',
  ),
  every: hinted(
    percent('A step after each', { min: 1, max: 100 }),
    'of the edition; rule of thumb: a quarter',
  ),
  up: hinted(percent('up by', { min: 0, max: 1000 }), '0: the price stays'),
  otherPaper: text('Also on', { min: 0, max: 120 }),
  otherTimes: hinted(
    decimal('there it costs', { above: 0, max: 100 }, 'times'),
    'what it costs on its own paper',
  ),
  framedTimes: hinted(
    decimal('Framed it costs', { min: 0, max: 100 }, 'times'),
    'what mat and frame cost, beside its own price',
  ),
  framedMore: paid('and more by'),
  rounding: choice('Rounded up to', ROUNDINGS),
  ceiling: hinted(
    optional(money('Nobody asks more than', { above: 0, max: MOST })),
    'empty: no ceiling',
  ),
});

/** Prices that were set by hand, minor units, by size. */
export type ByHand = Record<string, number | null>;

/** The same of one work, with what was set by hand. */
export const keepLadderForm = defineForm({
  ...ladderForm.fields,
  workId: rowNumber('Work'),
  hand: {
    ...json<ByHand>('Prices by hand', {
      type: 'object',
      additionalProperties: { type: ['integer', 'null'], minimum: 0, maximum: MOST },
    }),
    hidden: true,
  },
});
