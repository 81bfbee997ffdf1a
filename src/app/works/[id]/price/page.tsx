import { stationTitle } from '@/app/titles';
import { PriceStation } from '@/stations/price/PriceStation';
import { loadPrice } from '@/stations/price/view';

export const generateMetadata = stationTitle('price');

export default async function PriceRoute({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const { id } = await params;
  return <PriceStation {...await loadPrice(id, await searchParams)} />;
}
