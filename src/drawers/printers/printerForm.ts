import { INK_PAPERS, INK_ROLES, PRINTER_TAKES } from '@/core/ink';
import type { InkRole } from '@/core/ink';
import { choice, decimal, defineForm, formSeen, hinted, length } from '@/core/input';
import { money, optional, rowNumber, text, whole } from '@/core/input';
import type { InputContext, Typed, ValueOf } from '@/core/input';
import { mm } from '@/core/units';
import type { Minor } from '@/core/units';

/** Inks that a printer is laid in with; each can be changed afterwards. */
export const INK_SETS = ['none', 'four', 'eight', 'ten'] as const;
export type InkSet = (typeof INK_SETS)[number];

export const SET_ROLES: Record<InkSet, readonly InkRole[]> = {
  none: [],
  four: ['cyan', 'magenta', 'yellow', 'black'],
  eight: [
    'cyan',
    'magenta',
    'yellow',
    'black',
    'lightCyan',
    'lightMagenta',
    'grey',
    'lightGrey',
  ],
  ten: [
    'cyan',
    'magenta',
    'yellow',
    'black',
    'lightCyan',
    'lightMagenta',
    'grey',
    'lightGrey',
    'orange',
    'green',
  ],
};

const margin = (title: string) => length(title, { min: 0, max: 500 });

const FIELDS = {
  name: text('Name', { max: 80 }),
  route: hinted(
    text('Prints for', { min: 0, max: 80 }),
    'the route by which it is reached',
  ),
  widest: length('Widest paper', { above: 0, max: 5000 }),
  takes: choice('Takes', PRINTER_TAKES),
  coreFrom: hinted(
    optional(length('Roll cores from', { above: 0, max: 300 })),
    'inside diameter that its roll holder takes',
  ),
  coreTo: optional(length('Roll cores to', { above: 0, max: 300 })),
  marginLeft: margin('Left'),
  marginRight: margin('Right'),
  marginTop: margin('Top'),
  marginBottom: margin('Bottom'),
  supplier: text('Ink supplier', { min: 0, max: 80 }),
  deliveryDays: optional(whole('Delivery takes', { min: 0, max: 365 }, 'days')),
  note: text('Note', { min: 0, max: 400 }),
};

/** What is noted of a printer. */
export const printerForm = defineForm(FIELDS);
export type PrinterInput = ValueOf<typeof FIELDS>;

/** A new one, with its inks: what each holds and costs is usually the same. */
export const newPrinterForm = defineForm({
  ...FIELDS,
  inks: hinted(
    choice('Inks', INK_SETS),
    'eight: with light ones and two greys; ten: orange and green, too',
  ),
  ml: optional(decimal('One holds', { above: 0, max: 20_000 }, 'ml')),
  price: optional(money('One costs', { min: 0, max: 1e8 })),
});

const printerId = rowNumber('Printer');
const inkId = rowNumber('Ink');

export const editPrinterForm = defineForm({ ...FIELDS, printerId, seen: formSeen });
export const removePrinterForm = defineForm({ printerId });

const INK = {
  name: text('Name', { max: 60 }),
  role: choice('It is', INK_ROLES),
  papers: choice('On papers', INK_PAPERS),
  ml: decimal('One holds', { above: 0, max: 20_000 }, 'ml'),
  price: money('One costs', { min: 0, max: 1e8 }),
};

/** An ink, or the waste box. */
export const inkForm = defineForm({ ...INK, printerId });
/** The same, changed; left empty, the price stays what it is. */
export const editInkForm = defineForm({
  ...INK,
  price: optional(INK.price),
  inkId,
  seen: formSeen,
});
export const inkWritten = defineForm(INK);
/** An ink as it stands in its form; a price in another currency is left empty. */
export const inkAsWritten = (
  ink: Omit<ValueOf<typeof INK>, 'price'> & { price: Minor; currency: string },
  context: InputContext,
): Typed =>
  inkWritten.write(
    { ...ink, price: ink.currency === context.currency ? ink.price : null },
    context,
  );
export const removeInkForm = defineForm({ inkId });

/** What a new printer usually is. */
export const usualPrinter = (route: string, context: InputContext): Typed =>
  newPrinterForm.write(
    {
      route,
      widest: mm(610),
      takes: 'both',
      marginLeft: mm(3),
      marginRight: mm(3),
      marginTop: mm(3),
      marginBottom: mm(14),
      supplier: '',
      note: '',
      inks: 'eight',
    },
    context,
  );
