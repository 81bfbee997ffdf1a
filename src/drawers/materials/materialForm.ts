import { choice, defineForm, formSeen, length } from '@/core/input';
import { mass, money, optional, rowNumber, text, whole } from '@/core/input';
import type { InputContext, Typed } from '@/core/input';
import type { MaterialRow } from '@/data';

export const MATERIAL_KINDS = ['sleeve', 'board', 'mailer', 'tube'] as const;

const materialId = rowNumber('Material');

/** A kind of packing material; sizes inside. A tube has its diameter across and its length along. */
export const materialForm = defineForm({
  name: text('Name', { max: 80 }),
  kind: choice('Kind', MATERIAL_KINDS),
  width: length('Across, inside', { above: 0, max: 3000 }),
  height: length('Along, inside', { above: 0, max: 3000 }),
  thickness: length('Wall, or thickness', { min: 0, max: 100 }),
  mass: mass('Weight of one', { above: 0, max: 20_000 }),
  cost: money('Cost of one', { min: 0, max: 1e8 }),
  reorderPoint: whole('Reorder at', { min: 0, max: 10_000 }, 'pieces'),
  supplier: text('Supplier', { min: 0, max: 80 }),
  deliveryDays: optional(whole('Delivery takes', { min: 0, max: 365 }, 'days')),
});

/** The same, changed; left empty, the cost stays what it is. */
export const editMaterialForm = defineForm({
  ...materialForm.fields,
  cost: optional(materialForm.fields.cost),
  materialId,
  seen: formSeen,
});

export const removeMaterialForm = defineForm({ materialId });
export const usualForm = defineForm({});

/** Pieces that came in, or went out. */
export const deliveryForm = defineForm({
  materialId,
  pieces: whole('Pieces', { min: -10_000, max: 10_000 }),
  reason: text('Why', { max: 120 }),
});

/** A material as it stands in its form; a cost in another currency is left empty. */
export const materialWritten = (
  material: Omit<MaterialRow, 'id'>,
  context: InputContext,
): Typed =>
  materialForm.write(
    { ...material, cost: material.currency === context.currency ? material.cost : null },
    context,
  );
