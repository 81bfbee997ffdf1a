import { OrderBench } from '@/drawers/orders/bench/OrderBench';
import { loadOrderBench } from '@/drawers/orders/bench/view';

export const generateMetadata = async ({
  params,
}: {
  params: Promise<{ number: string }>;
}) => ({ title: `Order ${(await params).number.slice(0, 12)}` });

export default async function OrderRoute({
  params,
  searchParams,
}: {
  params: Promise<{ number: string }>;
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const { number } = await params;
  return <OrderBench {...await loadOrderBench(number, await searchParams)} />;
}
