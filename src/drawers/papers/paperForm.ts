import { choice, defineForm, formSeen, hinted, length, thickness } from '@/core/input';
import { money, optional, rowNumber, text, verbatim, whole } from '@/core/input';
import type { InputContext, Typed, ValueOf } from '@/core/input';
import { BRIGHTENED, GRAINS, SIGNED_WITH } from '@/core/paper';
import { mm } from '@/core/units';
import type { Paper } from '@/data';
import { BASES, SURFACES } from './kinds';

/** What is noted of a paper. */
export const PAPER_FIELDS = {
  name: text('Name', { max: 80 }),
  maker: text('Maker', { max: 80 }),
  base: choice('Base', BASES),
  surface: choice('Surface', SURFACES),
  weight: whole('Weight', { min: 40, max: 1200 }, 'g/m²'),
  thickness: thickness('Thickness', { above: 0, max: 5 }),
  sheetWidth: length('Sheet width', { above: 0, max: 5000 }),
  sheetHeight: length('Sheet height', { above: 0, max: 5000 }),
  price: money('Price a sheet', { min: 0, max: 1e8 }),
  reorderPoint: whole('Reorder at', { min: 0, max: 10_000 }, 'sheets'),
  printerSetting: hinted(
    text('Printer setting', { min: 0, max: 120 }),
    'and the profile that goes with it',
  ),
  supplier: text('Supplier', { min: 0, max: 80 }),
  deliveryDays: optional(whole('Delivery takes', { min: 0, max: 365 }, 'days')),
  permanenceYears: optional(whole('Permanence', { min: 1, max: 1000 }, 'years')),
  permanenceSource: hinted(
    text('Permanence says', { min: 0, max: 120 }),
    'who measured or claims it',
  ),
  permanenceDisplay: hinted(
    text('Permanence if', { min: 0, max: 120 }),
    'how it is displayed: behind glass, in the dark',
  ),
  acidFree: choice('Acid-free', ['no', 'yes']),
  brightened: choice('Brighteners', BRIGHTENED, 'not known'),
  grain: choice('Grain', GRAINS, 'not known'),
  signedWith: choice('Signed with', SIGNED_WITH, 'not known'),
  scuffs: choice('Scuffs at a touch', ['no', 'yes']),
  leastRoll: hinted(
    optional(length('Rolled no tighter than', { above: 0, max: 500 })),
    'inside diameter; else by its weight',
  ),
  note: text('Note', { min: 0, max: 400 }),
};

const PERMANENCE = ['permanenceYears', 'permanenceSource', 'permanenceDisplay'] as const;

/** A figure without its source and display condition says nothing: which of the three is missing. */
export function permanenceFault(
  paper: Pick<PaperInput, (typeof PERMANENCE)[number]>,
): { field: (typeof PERMANENCE)[number]; words: string } | null {
  const given = PERMANENCE.filter((f) => paper[f] !== null && paper[f] !== '');
  const field = PERMANENCE.find((f) => !given.includes(f));
  if (given.length === 0 || field === undefined) return null;
  return {
    field,
    words: `${PAPER_FIELDS[field].title}: years alone promise what nobody can keep. Give the figure, who says so and how the print is displayed, or none of the three.`,
  };
}

/** What is noted of a paper, typed by hand or brought in a list. */
export const paperForm = defineForm(PAPER_FIELDS);
export type PaperInput = ValueOf<typeof PAPER_FIELDS>;

const paperId = rowNumber('Paper');

/** The same, changed; left empty, the price stays what it is. */
export const editPaperForm = defineForm({
  ...PAPER_FIELDS,
  price: optional(PAPER_FIELDS.price),
  paperId,
  seen: formSeen,
});

export const removePaperForm = defineForm({ paperId });

export const discontinueForm = defineForm({
  paperId,
  discontinued: choice('Discontinued', ['yes', 'no']),
  replacementId: optional({ ...rowNumber('Replaced by'), hidden: false }),
});

export const bringForm = defineForm({ list: verbatim('List', { max: 2_000_000 }) });

/** What a new paper usually is. */
export const usualPaper = (context: InputContext): Typed =>
  paperForm.write(
    {
      base: 'cotton',
      surface: 'matte',
      weight: 300,
      thickness: mm(0.5),
      reorderPoint: 5,
      acidFree: 'no',
      brightened: 'not known',
      grain: 'not known',
      signedWith: 'not known',
      scuffs: 'no',
    },
    context,
  );

/** A paper as it stands in its form; a price in another currency is left empty. */
export const paperWritten = (
  paper: Omit<Paper, 'sheets' | 'level'>,
  context: InputContext,
): Typed =>
  paperForm.write(
    {
      ...paper,
      base: paper.base as PaperInput['base'],
      surface: paper.surface as PaperInput['surface'],
      price: paper.currency === context.currency ? paper.price : null,
      acidFree: paper.acidFree ? 'yes' : 'no',
      scuffs: paper.scuffs ? 'yes' : 'no',
    },
    context,
  );
