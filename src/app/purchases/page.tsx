import { PurchasesDrawer } from '@/drawers/purchases/PurchasesDrawer';
import { loadPurchases } from '@/drawers/purchases/view';

export const metadata = { title: 'To be ordered' };

export default async function PurchasesRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <PurchasesDrawer {...await loadPurchases(await searchParams)} />;
}
