import { drawerTitle } from '@/app/titles';
import { EditionsDrawer } from '@/drawers/editions/EditionsDrawer';
import { loadEditions } from '@/drawers/editions/view';

export const generateMetadata = drawerTitle('Editions');

export default async function EditionsRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <EditionsDrawer {...await loadEditions(await searchParams)} />;
}
