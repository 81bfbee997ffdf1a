import { EditionsDrawer } from '@/drawers/editions/EditionsDrawer';
import { loadEditions } from '@/drawers/editions/view';

export default async function EditionsRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <EditionsDrawer {...await loadEditions(await searchParams)} />;
}
