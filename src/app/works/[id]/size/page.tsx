import { stationTitle } from '@/app/titles';
import { SHEET_NAMES, sheetOf } from '@/stations/size/sheetNames';
import { SizeStation } from '@/stations/size/SizeStation';
import { loadSize } from '@/stations/size/view';

export const generateMetadata = stationTitle('size', (s) => SHEET_NAMES[sheetOf(s)]);

export default async function SizeRoute({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const { id } = await params;
  return <SizeStation {...await loadSize(id, await searchParams)} />;
}
