import { PricesDrawer } from '@/drawers/prices/PricesDrawer';
import { loadPriceLists } from '@/drawers/prices/view';

export const metadata = { title: 'Price lists' };

export default async function PricesRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <PricesDrawer {...await loadPriceLists(await searchParams)} />;
}
