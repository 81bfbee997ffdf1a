import { defineForm } from '@/core/input';
import type { ValueOf } from '@/core/input';
import { COMES_AS } from './formatForm';
import { PAPER_FIELDS } from './paperForm';

/** What a list of papers has columns for. */
export const PAPER_LIST = {
  ...PAPER_FIELDS,
  kind: COMES_AS.kind,
  core: COMES_AS.core,
  // Of a line that is a roll, its length.
  sheetHeight: { ...COMES_AS.height, title: PAPER_FIELDS.sheetHeight.title },
};

/** A line of a list of papers: as the form has it, and what it comes as. */
export const paperListForm = defineForm(PAPER_LIST);
export type PaperLine = ValueOf<typeof PAPER_LIST>;
