import { WorksDrawer } from '@/drawers/works/WorksDrawer';
import { loadWorks } from '@/drawers/works/view';

export default async function WorksRoute() {
  return <WorksDrawer {...await loadWorks()} />;
}
