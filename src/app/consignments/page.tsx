import { ConsignmentsDrawer } from '@/drawers/consignments/ConsignmentsDrawer';
import { loadConsignments } from '@/drawers/consignments/view';

export const metadata = { title: 'Consignments' };

export default async function ConsignmentsRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <ConsignmentsDrawer {...await loadConsignments(await searchParams)} />;
}
