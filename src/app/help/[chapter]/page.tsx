import { notFound } from 'next/navigation';
import { HelpDrawer } from '@/drawers/help/HelpDrawer';
import { chapterOf } from '@/drawers/help/chapters';
import { loadHelp } from '@/drawers/help/view';

interface Asked {
  params: Promise<{ chapter: string }>;
}

export async function generateMetadata({ params }: Asked) {
  const name = chapterOf((await params).chapter)?.name;
  return { title: name ? `${name} · Help` : 'Help' };
}

export default async function HelpRoute({ params }: Asked) {
  const view = await loadHelp((await params).chapter);
  return view ? <HelpDrawer {...view} /> : notFound();
}
