import { drawerTitle } from '@/app/titles';
import { OrdersDrawer } from '@/drawers/orders/OrdersDrawer';
import { loadOrders } from '@/drawers/orders/view';

export const generateMetadata = drawerTitle('Orders');

export default async function OrdersRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <OrdersDrawer {...await loadOrders(await searchParams)} />;
}
