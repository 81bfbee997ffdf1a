import { drawerTitle } from '@/app/titles';
import { CustomersDrawer } from '@/drawers/orders/customers/CustomersDrawer';
import { loadCustomers } from '@/drawers/orders/customers/view';

export const generateMetadata = drawerTitle('Customers');

export default async function CustomersRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <CustomersDrawer {...await loadCustomers(await searchParams)} />;
}
