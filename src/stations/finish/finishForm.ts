import { choice, decimal, defineForm, length, money, optional } from '@/core/input';
import { text, whole } from '@/core/input';
import type { ValueOf } from '@/core/input';
import { minor } from '@/core/units';
import type { FinishPrices, FinishValues } from '@/core/finish';

const off = (title: string) => length(title, { min: 0, max: 50 });
const thick = (title: string) => optional(length(title, { min: 0, max: 60 }));
const paid = (title: string) => optional(money(title, { min: 0, max: 1e9 }));
const border = (title: string) => length(title, { min: 0, max: 600 });

/** A mat and its frame. */
export const finishForm = defineForm({
  style: choice('Opening', ['overlap', 'reveal']),
  perSide: length('Per side', { min: 0, max: 400 }),
  offPrint: off('Print may be off'),
  offMat: off('Mat may be off'),
  offFrame: off('Frame may be off'),
  sides: border('Mat, sides'),
  above: border('Mat, above'),
  below: border('Mat, below'),
  moulding: length('Moulding width', { above: 0, max: 300 }),
  glass: length('Glazing thickness', { min: 0, max: 20 }),
  glazing: choice('Glazing', ['glass', 'acrylic']),
  board: thick('Mat board'),
  spacer: thick('Spacer'),
  backing: thick('Backing'),
  sold: choice('Sold so', ['on request', 'every print']),
  mouldingPrice: paid('Moulding, metre'),
  glazingPrice: paid('Glazing, m²'),
  boardPrice: paid('Mat board, m²'),
  backingPrice: paid('Backing, m²'),
  hardware: paid('Hangers, tape, points'),
  hours: optional(decimal('Your time at one', { min: 0, max: 1000 }, 'h')),
});

export type FinishTyped = ValueOf<(typeof finishForm)['fields']>;

/** What is typed as it is kept; without any price nobody said what it costs. */
export function finishValues(
  {
    sold,
    mouldingPrice,
    glazingPrice,
    boardPrice,
    backingPrice,
    hardware,
    hours,
    ...values
  }: FinishTyped,
  currency: string,
): FinishValues {
  const typed = [mouldingPrice, glazingPrice, boardPrice, backingPrice, hardware, hours];
  const prices: FinishPrices | null = typed.every((t) => t === null)
    ? null
    : {
        currency,
        moulding: mouldingPrice ?? 0,
        glazing: glazingPrice ?? 0,
        board: boardPrice ?? 0,
        backing: backingPrice ?? 0,
        hardware: hardware ?? 0,
        hours: hours ?? 0,
        every: sold === 'every print',
      };
  return { ...values, prices };
}

/** What was kept as it stands in the form; prices in another currency are typed anew. */
export function finishTyped({ prices, ...values }: FinishValues, currency: string) {
  const own = prices?.currency === currency ? prices : null;
  return {
    ...values,
    sold: prices?.every ? ('every print' as const) : ('on request' as const),
    mouldingPrice: own && minor(own.moulding),
    glazingPrice: own && minor(own.glazing),
    boardPrice: own && minor(own.board),
    backingPrice: own && minor(own.backing),
    hardware: own && minor(own.hardware),
    hours: own && own.hours,
  };
}

/** The same, of one size of one work. */
export const keepFinishForm = defineForm({
  ...finishForm.fields,
  workId: whole('Work', { min: 1, max: 1e12 }),
  sizeKey: text('Size', { max: 40 }),
});

/** The overlap covers everything: said at its field. */
export const NO_OPENING = 'Per side: the overlap covers the whole image. Make it smaller.';
