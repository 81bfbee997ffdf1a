'use server';
import { gsm } from '@/core/units';
import { addPaper, getPaper, listPapers, moveStock } from '@/data';
import { act, refuse } from '@/studio';
import type { ActionResult } from '@/studio';
import { choice, decimal, defineInput, length, money, text, whole } from '@/studio/input';
import { BASES, SURFACES } from './kinds';

const paper = defineInput({
  name: text('Name', { max: 80 }),
  maker: text('Maker', { max: 80 }),
  base: choice('Base', BASES),
  surface: choice('Surface', SURFACES),
  weight: whole('Weight', { min: 40, max: 1200 }),
  thickness: decimal('Thickness', { above: 0, max: 5 }, 'mm'),
  sheetWidth: length('Sheet width', { above: 0, max: 5000 }),
  sheetHeight: length('Sheet height', { above: 0, max: 5000 }),
  price: money('Price a sheet', { min: 0, max: 1e8 }),
  reorderPoint: whole('Reorder at', { min: 0, max: 10_000 }),
  printerSetting: text('Printer setting', { min: 0, max: 120 }),
  permanence: text('Permanence, with source and display condition', { min: 0, max: 240 }),
  note: text('Note', { min: 0, max: 400 }),
});

/** Adds a paper to the drawer. */
export async function createPaper(typed: unknown): Promise<ActionResult<number>> {
  return act(paper, typed, {}, async (v, { studio, write, at }) => {
    const same = (await listPapers(studio.db.read)).some(
      (p) => p.name.toLowerCase() === v.name.toLowerCase(),
    );
    if (same) {
      const message = `Name: there is a paper “${v.name}” in the drawer already. Give this one another name.`;
      return refuse(message, { name: message });
    }
    const thickness = v.thickness as typeof v.sheetWidth;
    return write((tx) =>
      addPaper(tx, { ...v, weight: gsm(v.weight), thickness, createdAt: at }),
    );
  });
}

const movement = defineInput({
  paperId: whole('Paper', { min: 1 }),
  pieces: whole('Sheets', { min: -10_000, max: 10_000 }),
  reason: text('Why', { max: 120 }),
});

/** Notes sheets received (positive) or used (negative). */
export async function movePaper(typed: unknown): Promise<ActionResult<null>> {
  return act(
    movement,
    typed,
    {},
    async ({ paperId, pieces, reason }, { studio, write, at }) => {
      const found = await getPaper(studio.db.read, paperId);
      if (!found) return refuse('This paper is not in the drawer any more.');
      if (pieces === 0) {
        const message =
          'Sheets: 0 changes nothing. Give sheets received, or used with a minus.';
        return refuse(message, { pieces: message });
      }
      await write((tx) => moveStock(tx, { of: 'paper', ref: paperId, pieces, reason, at }));
      return null;
    },
  );
}
