import { patchColours, rowId } from '@/studio';
import { notThere, sendRaw } from '../../send';

/** The table by which a screen shows a master's picture: `target`, `intent`, `blackPoint`. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const bytes = await patchColours(rowId((await params).id), asked, request.signal);
  return bytes ? sendRaw(bytes) : notThere();
}
