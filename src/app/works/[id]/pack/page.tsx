import { PackStation } from '@/stations/pack/PackStation';
import { loadPack } from '@/stations/pack/view';

export default async function PackRoute({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const { id } = await params;
  return <PackStation {...await loadPack(id, await searchParams)} />;
}
