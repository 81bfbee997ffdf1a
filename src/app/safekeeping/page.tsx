import { SafekeepingDrawer } from '@/drawers/safekeeping/SafekeepingDrawer';
import { loadSafekeeping } from '@/drawers/safekeeping/view';

export const metadata = { title: 'Your data and its backups' };

export default async function SafekeepingRoute() {
  return <SafekeepingDrawer {...await loadSafekeeping()} />;
}
