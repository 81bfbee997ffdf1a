import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { addPurchase, saveSettings } from '@/data';
import { createMaterial, editMaterial, moveMaterial } from './actions';
import { loadMaterials } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ empty: true });
});
afterAll(() => here.end());

const TUBE = {
  name: 'tube 9',
  kind: 'tube',
  width: '9 cm',
  height: '60 cm',
  thickness: '2 mm',
  mass: '300 g',
  cost: '1.90',
  reorderPoint: '8',
  supplier: 'Weir Board',
  deliveryDays: '5',
};

it('a cost that was kept in another currency stays what it is until another is typed', async () => {
  expect(await createMaterial(TUBE)).toMatchObject({ ok: true });
  await here.open.db.write((tx) => saveSettings(tx, { currency: 'USD' }));
  const edit = async (over: Record<string, string>) => {
    const stored = (await loadMaterials({ material: '1', edit: '1' })).editing!;
    const typed = { ...stored, ...over, materialId: '1' };
    return editMaterial({ ...typed, seen: JSON.stringify(stored) });
  };
  const cost = async () =>
    here.rows('SELECT cost_minor AS cost, currency, reorder_point AS at FROM material');
  expect((await loadMaterials({ material: '1', edit: '1' })).editing).toMatchObject({
    cost: '',
    width: '90 mm',
  });
  expect(await edit({ reorderPoint: '6' })).toMatchObject({ ok: true });
  expect(await cost()).toEqual([{ cost: 190, currency: 'EUR', at: 6 }]);
  expect(await edit({ cost: '2.10' })).toMatchObject({ ok: true });
  expect(await cost()).toEqual([{ cost: 210, currency: 'USD', at: 6 }]);
});

it('says what of it is on its way, until pieces come in', async () => {
  const at = '2026-11-20T10:00:00.000Z';
  const tube = { kind: 'material' as const, ref: 1, name: 'tube 9', quantity: 20 };
  const days = { orderedOn: '2026-11-20', comesOn: '2026-11-25', at };
  await here.open.db.write((tx) =>
    addPurchase(tx, { ...tube, supplier: 'Weir Board', ...days }),
  );
  expect((await loadMaterials({})).coming).toMatchObject({ quantity: 20 });
  const moved = { materialId: '1', reason: 'a parcel' };
  expect(await moveMaterial({ ...moved, pieces: '-1' })).toMatchObject({ ok: true });
  expect((await loadMaterials({})).coming).not.toBeNull();
  expect(await moveMaterial({ ...moved, pieces: '20' })).toMatchObject({ ok: true });
  expect((await loadMaterials({})).coming).toBeNull();
});
