import { CompareDrawer } from '@/drawers/papers/compare/CompareDrawer';
import { loadCompare } from '@/drawers/papers/compare/view';

export const metadata = { title: 'Papers side by side' };

export default async function CompareRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <CompareDrawer {...await loadCompare(await searchParams)} />;
}
