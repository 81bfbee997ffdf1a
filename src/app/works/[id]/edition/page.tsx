import { stationTitle } from '@/app/titles';
import { EditionStation } from '@/stations/edition/EditionStation';
import { loadEdition } from '@/stations/edition/view';

export const generateMetadata = stationTitle('edition');

export default async function EditionRoute({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const { id } = await params;
  return <EditionStation {...await loadEdition(id, await searchParams)} />;
}
