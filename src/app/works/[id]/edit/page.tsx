import { workTitle } from '@/app/titles';
import { EditWork } from '@/drawers/works/WorkForms';
import { loadEditWork } from '@/drawers/works/view';

export const generateMetadata = workTitle('Change');

export default async function EditWorkRoute({
  params,
}: {
  params: Promise<{ id: string }>;
}) {
  return <EditWork {...await loadEditWork((await params).id)} />;
}
