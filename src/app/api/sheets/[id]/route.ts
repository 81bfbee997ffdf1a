import { sheetDocument } from '@/stations/size/documents';
import { notThere, sendBytes } from '../../send';

/** The drawing of a sheet at 1 : 1, as PDF or SVG: work, and the layout in the query. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const found = await sheetDocument((await params).id, asked);
  if (!found) return notThere();
  return 'refused' in found
    ? new Response(found.refused, { status: 400 })
    : sendBytes(found);
}
