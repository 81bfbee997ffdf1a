import { seal, tickPart, weigh } from '@/drawers/orders/bench/parcelActions';
import { loadOrderBench } from '@/drawers/orders/bench/view';

/** What is sent for a parcel, and the keys of its parts. */
export interface BenchOf {
  sent: { order: string; parcel: string };
  parts: string[];
}

/** A parcel of an order as it lies on its bench; the first one that is open, unless another is asked for. */
export async function layOutBench(order: string, parcel?: number): Promise<BenchOf> {
  const query = parcel === undefined ? {} : { parcel: String(parcel) };
  const { picked } = await loadOrderBench(order, query);
  return {
    sent: { order, parcel: String(picked!.id) },
    parts: picked!.parts?.map((p) => p.key) ?? [],
  };
}

/** Ticks all parts in both counts, or those that are wanted. Throws when one is refused. */
export async function tickAll(
  { sent, parts }: BenchOf,
  wanted: (part: string, count: string) => boolean = () => true,
): Promise<void> {
  for (const count of ['first', 'second'])
    for (const part of parts.filter((p) => wanted(p, count))) {
      const answer = await tickPart({ ...sent, part, count, on: 'yes' });
      if (!answer.ok) throw new Error(answer.message);
    }
}

/** Counts, weighs and seals a parcel of an order with the cheapest carrier. Throws when one is refused. */
export async function packAll(
  order: string,
  { seal: sealed = true, parcel }: { seal?: boolean; parcel?: number } = {},
): Promise<BenchOf> {
  const bench = await layOutBench(order, parcel);
  await tickAll(bench);
  const weighed = await weigh({ ...bench.sent, grams: '' });
  if (!weighed.ok) throw new Error(weighed.message);
  if (!sealed) return bench;
  const { picked } = await loadOrderBench(order, { parcel: bench.sent.parcel });
  const quote = picked!.open!.quotes.find((q) => q.refused === null)!;
  const { carrier, service, cost } = quote;
  const answer = await seal({ ...bench.sent, carrier, service, cost: String(cost) });
  if (!answer.ok) throw new Error(answer.message);
  return bench;
}
