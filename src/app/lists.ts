import type { CsvCell } from '@/documents';
import { accountsCsv } from '@/drawers/accounts/csv';
import { consignmentsCsv } from '@/drawers/consignments/csv';
import { editionsCsv } from '@/drawers/editions/csv';
import { materialsCsv } from '@/drawers/materials/csv';
import { ordersCsv } from '@/drawers/orders/csv';
import { customersCsv } from '@/drawers/orders/customers/csv';
import { papersCsv } from '@/drawers/papers/csv';
import { pricesCsv } from '@/drawers/prices/csv';
import { proofsCsv } from '@/drawers/proofs/csv';
import { purchasesCsv } from '@/drawers/purchases/documents';
import { worksCsv } from '@/drawers/works/csv';

/** A drawer as a table: its heads, and the lines that are found. */
export type Listed = (
  query: Record<string, string | undefined>,
  lines: number,
) => Promise<{ heads: string[]; rows: CsvCell[][] }>;

/** Every drawer that can be taken out, by its name. */
export const LISTS: Readonly<Record<string, Listed>> = {
  works: worksCsv,
  papers: papersCsv,
  materials: materialsCsv,
  proofs: proofsCsv,
  editions: editionsCsv,
  orders: ordersCsv,
  customers: customersCsv,
  accounts: accountsCsv,
  purchases: purchasesCsv,
  prices: pricesCsv,
  consignments: consignmentsCsv,
};

/** Lines of one list at most. */
export const MOST_LISTED = 100_000;
