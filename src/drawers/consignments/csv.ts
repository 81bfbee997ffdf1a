import { currencyDigits } from '@/core/units';
import type { CsvCell } from '@/documents';
import { loadConsignments } from './view';

/** Every print that is or was out on consignment. */
export async function consignmentsCsv(): Promise<{ heads: string[]; rows: CsvCell[][] }> {
  const { rows } = await loadConsignments({});
  return {
    heads: [
      ...['consignment', 'with', 'out since', 'fetch back by', 'title', 'number', 'size'],
      ...['asked', 'comes to you', 'cost', 'currency', 'share', 'state', 'order'],
    ],
    rows: rows.flatMap((r) =>
      r.prints.map((p): CsvCell[] => {
        const whole = 10 ** currencyDigits(r.currency);
        return [
          ...[r.number, r.name, r.outOn, r.fetchOn, p.work, p.label, p.size],
          ...[p.price / whole, p.comes / whole, p.cost === null ? '' : p.cost / whole],
          ...[r.currency, r.terms.commission, p.end ?? 'out', p.order ?? ''],
        ];
      }),
    ),
  };
}
