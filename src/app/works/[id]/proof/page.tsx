import { stationTitle } from '@/app/titles';
import { ProofStation } from '@/stations/proof/ProofStation';
import { loadProof } from '@/stations/proof/view';

export const generateMetadata = stationTitle('proof');

export default async function ProofRoute({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const { id } = await params;
  const view = await loadProof(id, await searchParams);
  // Another sheet that was asked for lies on top, whatever was turned up before.
  return <ProofStation key={view.sheet} {...view} />;
}
