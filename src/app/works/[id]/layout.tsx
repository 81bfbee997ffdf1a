import { loadRule } from '@/drawers/works/view';
import { Rule } from '@/shell/frame';

export default async function WorkLayout({
  children,
  params,
}: {
  children: React.ReactNode;
  params: Promise<{ id: string }>;
}) {
  const { id } = await params;
  const { workId, marks, why } = await loadRule(id);
  return (
    <>
      <Rule workId={workId} marks={marks} why={why} />
      {children}
    </>
  );
}
