import { stationTitle } from '@/app/titles';
import { SHEET_NAMES, sheetOf } from '@/stations/prepare/sheetNames';
import { PrepareStation } from '@/stations/prepare/PrepareStation';
import { loadPrepare } from '@/stations/prepare/view';

export const generateMetadata = stationTitle('prepare', (s) => SHEET_NAMES[sheetOf(s)]);

export default async function PrepareRoute({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const { id } = await params;
  return <PrepareStation {...await loadPrepare(id, await searchParams)} />;
}
