import { drawerTitle } from '@/app/titles';
import { MaterialsDrawer } from '@/drawers/materials/MaterialsDrawer';
import { loadMaterials } from '@/drawers/materials/view';

export const generateMetadata = drawerTitle('Packing');

export default async function MaterialsRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <MaterialsDrawer {...await loadMaterials(await searchParams)} />;
}
