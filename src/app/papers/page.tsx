import { PapersDrawer } from '@/drawers/papers/PapersDrawer';
import { loadPapers } from '@/drawers/papers/view';

export default async function PapersRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <PapersDrawer {...await loadPapers(await searchParams)} />;
}
