import { drawerTitle } from '@/app/titles';
import { LogDrawer } from '@/drawers/log/LogDrawer';
import { PrintLog } from '@/drawers/log/PrintLog';
import { TakeBack } from '@/drawers/log/TakeBack';
import { loadTakeBack } from '@/drawers/log/takeBackView';
import { loadPrints } from '@/drawers/log/prints';
import { loadLog } from '@/drawers/log/view';

export const generateMetadata = drawerTitle('Log book');

export default async function LogRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const query = await searchParams;
  if (query.sheet === 'back') return <TakeBack {...await loadTakeBack()} />;
  return query.sheet === 'lines' || query.impression || query.order ? (
    <LogDrawer {...await loadLog(query)} />
  ) : (
    <PrintLog {...await loadPrints(query)} />
  );
}
