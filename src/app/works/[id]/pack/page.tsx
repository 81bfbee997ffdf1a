import { stationTitle } from '@/app/titles';
import { PackStation } from '@/stations/pack/PackStation';
import { loadPack } from '@/stations/pack/view';

export const generateMetadata = stationTitle('pack');

export default async function PackRoute({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <PackStation {...await loadPack(id)} />;
}
