import { CustomersDrawer } from '@/drawers/orders/customers/CustomersDrawer';
import { loadCustomers } from '@/drawers/orders/customers/view';

export default async function CustomersRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <CustomersDrawer {...await loadCustomers(await searchParams)} />;
}
