import { stationTitle } from '@/app/titles';
import { SHEET_NAMES, sheetOf } from '@/stations/capture/sheetNames';
import { CaptureStation } from '@/stations/capture/CaptureStation';
import { loadCapture } from '@/stations/capture/view';

export const generateMetadata = stationTitle(
  'capture',
  (s) => SHEET_NAMES[sheetOf(s, true)],
);

export default async function CaptureRoute({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const { id } = await params;
  return <CaptureStation {...await loadCapture(id, await searchParams)} />;
}
