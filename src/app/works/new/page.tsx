import { NewWork } from '@/drawers/works/WorkForms';
import { loadNewWork } from '@/drawers/works/view';

export default async function NewWorkRoute() {
  return <NewWork {...await loadNewWork()} />;
}
