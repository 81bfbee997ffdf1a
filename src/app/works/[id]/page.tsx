import { redirect } from 'next/navigation';
import { loadRule } from '@/drawers/works/view';

export default async function WorkRoute({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const { workId, next } = await loadRule(id);
  redirect(`/works/${workId}/${next}`);
}
