import { currencyDigits } from '@/core/units';
import type { CsvCell } from '@/documents';
import { loadMaterials } from './view';

/** Packing material as it is listed; lengths in mm, weights in g. */
export async function materialsCsv() {
  const { materials } = await loadMaterials({});
  return {
    heads: [
      'material',
      'name',
      'kind',
      'weight g',
      'pieces',
      'reorder at',
      'cost',
      'currency',
    ],
    rows: materials.map((m): CsvCell[] => [
      m.id,
      m.name,
      m.kind,
      m.mass,
      m.stock,
      m.reorderPoint,
      m.cost / 10 ** currencyDigits(m.currency),
      m.currency,
    ]),
  };
}
