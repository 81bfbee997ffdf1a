import { drawerTitle } from '@/app/titles';
import { WorksDrawer } from '@/drawers/works/WorksDrawer';
import { loadWorks } from '@/drawers/works/view';

export const generateMetadata = drawerTitle('Works');

export default async function WorksRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <WorksDrawer {...await loadWorks(await searchParams)} />;
}
