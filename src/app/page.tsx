import { TableDrawer } from '@/drawers/table/TableDrawer';
import { loadTable } from '@/drawers/table/view';

export default async function TableRoute() {
  return <TableDrawer {...await loadTable()} />;
}
