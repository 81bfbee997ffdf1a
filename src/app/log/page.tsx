import { LogDrawer } from '@/drawers/log/LogDrawer';
import { loadLog } from '@/drawers/log/view';

export default async function LogRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <LogDrawer {...await loadLog(await searchParams)} />;
}
