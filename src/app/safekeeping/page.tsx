import { SafekeepingDrawer } from '@/drawers/safekeeping/SafekeepingDrawer';
import { loadSafekeeping } from '@/drawers/safekeeping/view';

export default async function SafekeepingRoute() {
  return <SafekeepingDrawer {...await loadSafekeeping()} />;
}
