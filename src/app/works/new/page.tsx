import { NewWork } from '@/drawers/works/NewWork';
import { loadNewWork } from '@/drawers/works/view';

export default async function NewWorkRoute() {
  return <NewWork {...await loadNewWork()} />;
}
