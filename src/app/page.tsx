import { TableDrawer } from '@/drawers/table/TableDrawer';
import { loadTable } from '@/drawers/table/view';

export const metadata = { title: 'Table' };

export default async function TableRoute() {
  return <TableDrawer {...await loadTable()} />;
}
