import { NewWork } from '@/drawers/works/WorkForms';
import { loadNewWork } from '@/drawers/works/view';

export const metadata = { title: 'New work' };

export default async function NewWorkRoute() {
  return <NewWork {...await loadNewWork()} />;
}
