import { SheetsBench } from '@/drawers/papers/sheets/SheetsBench';
import { loadSheets } from '@/drawers/papers/sheets/view';

export const metadata = { title: 'Sheets to cut' };

export default async function SheetsRoute({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const view = await loadSheets((await params).id, await searchParams);
  return <SheetsBench key={view.id} {...view} />;
}
