import { drawerTitle } from '@/app/titles';
import { PapersDrawer } from '@/drawers/papers/PapersDrawer';
import { loadPapers } from '@/drawers/papers/view';

export const generateMetadata = drawerTitle('Papers');

export default async function PapersRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <PapersDrawer {...await loadPapers(await searchParams)} />;
}
