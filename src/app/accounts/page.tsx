import { drawerTitle } from '@/app/titles';
import { AccountsDrawer } from '@/drawers/accounts/AccountsDrawer';
import { loadAccounts } from '@/drawers/accounts/view';

export const generateMetadata = drawerTitle('Accounts');

export default async function AccountsRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <AccountsDrawer {...await loadAccounts(await searchParams)} />;
}
