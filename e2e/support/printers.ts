import { mm } from '@/core/units';
import type { NewPrinter } from '@/data';

/** A printer of the room. */
export const printer = (name: string, more: Partial<NewPrinter> = {}): NewPrinter => ({
  name,
  route: '',
  widest: mm(610),
  takes: 'both',
  marginLeft: mm(3),
  marginRight: mm(3),
  marginTop: mm(3),
  marginBottom: mm(14),
  supplier: '',
  deliveryDays: 5,
  note: '',
  createdAt: '2026-11-02T10:00:00.000Z',
  ...more,
});
