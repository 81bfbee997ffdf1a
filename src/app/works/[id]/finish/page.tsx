import { stationTitle } from '@/app/titles';
import { FinishStation } from '@/stations/finish/FinishStation';
import { loadFinish } from '@/stations/finish/view';

export const generateMetadata = stationTitle('finish');

export default async function FinishRoute({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const { id } = await params;
  return <FinishStation {...await loadFinish(id, await searchParams)} />;
}
