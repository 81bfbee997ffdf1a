'use server';
import { USUAL_PIECES, USUAL_STOCK } from '@/core/pack';
import { grams, minor } from '@/core/units';
import {
  addMaterial,
  added,
  editRow,
  getMaterial,
  listMaterialRows,
  moveStock,
  removeRow,
} from '@/data';
import { act, refuse, staleForm } from '@/studio';
import type { Answer } from '@/core/input';
import {
  deliveryForm,
  editMaterialForm,
  materialForm,
  materialWritten,
  removeMaterialForm,
  usualForm,
} from './materialForm';
import { WORDS, usualName } from './words';

/** Takes a kind of packing material onto the shelf. */
export async function createMaterial(typed: unknown): Promise<Answer<number>> {
  return act(materialForm, typed, WORDS, async (v, { settings, write, at, undoable }) =>
    write(async (tx) => {
      const { currency } = settings;
      const id = await addMaterial(tx, { ...v, mass: grams(v.mass), currency }, at);
      await undoable(tx, `laying in ${v.name}`, added('material', id));
      return id;
    }),
  );
}

/** Changes what is noted of it; refused, with both values, when it was changed meanwhile. */
export async function editMaterial(typed: unknown): Promise<Answer<number>> {
  return act(
    editMaterialForm,
    typed,
    WORDS,
    async (v, { settings, write, at, undoable }) => {
      const { materialId, seen, cost, ...fields } = v;
      return write(async (tx) => {
        const now = await getMaterial(tx, materialId);
        if (!now) return refuse(WORDS.gone!);
        const priced = cost === null ? now : { cost, currency: settings.currency };
        const after = {
          ...fields,
          mass: grams(fields.mass),
          cost: priced.cost,
          currency: priced.currency,
        };
        const stale = staleForm(
          seen,
          materialWritten(now, settings),
          materialWritten({ ...now, ...after }, settings),
          materialForm.titles,
        );
        if (stale) return stale;
        const step = await editRow(tx, 'material', materialId, after, { at, name: v.name });
        await undoable(tx, `changing ${v.name}`, step);
        return materialId;
      });
    },
  );
}

/** Takes material that never moved off the shelf. */
export async function removeMaterial(typed: unknown): Promise<Answer<null>> {
  return act(
    removeMaterialForm,
    typed,
    WORDS,
    async ({ materialId }, { write, at, undoable }) => {
      await write(async (tx) => {
        const name = (await getMaterial(tx, materialId))?.name ?? '';
        const step = await removeRow(tx, 'material', materialId, { at, name });
        await undoable(tx, `taking out ${name}`, step);
      });
      return null;
    },
  );
}

/** Notes pieces received (positive) or used (negative). */
export async function moveMaterial(typed: unknown): Promise<Answer<null>> {
  return act(deliveryForm, typed, WORDS, async ({ materialId, pieces, reason }, tools) => {
    const { write, at } = tools;
    if (pieces === 0) {
      const message =
        'Pieces: 0 changes nothing. Give pieces received, or used with a minus.';
      return refuse(message, { pieces: message });
    }
    return write(async (tx) => {
      if (!(await getMaterial(tx, materialId))) return refuse(WORDS.gone!);
      await moveStock(tx, { of: 'material', ref: materialId, pieces, reason, at });
      return null;
    });
  });
}

/** Lays in the usual packing material, a few pieces of each, where it is not there yet. */
export async function layInUsual(typed: unknown): Promise<Answer<null>> {
  return act(usualForm, typed, WORDS, async (_v, { settings, write, at }) => {
    await write(async (tx) => {
      const there = new Set((await listMaterialRows(tx)).map((m) => m.name));
      for (const piece of USUAL_STOCK) {
        const name = usualName(piece);
        if (there.has(name)) continue;
        const { currency } = settings;
        const material = { ...piece, name, cost: minor(0), currency, reorderPoint: 0 };
        const ref = await addMaterial(tx, material, at);
        const reason = `first stock, ${name}`;
        await moveStock(tx, { of: 'material', ref, pieces: USUAL_PIECES, reason, at });
      }
    });
    return null;
  });
}
