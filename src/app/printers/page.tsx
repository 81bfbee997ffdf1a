import { PrintersDrawer } from '@/drawers/printers/PrintersDrawer';
import { loadPrinters } from '@/drawers/printers/view';

export const metadata = { title: 'Printers' };

export default async function PrintersRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <PrintersDrawer {...await loadPrinters(await searchParams)} />;
}
