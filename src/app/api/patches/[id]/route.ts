import { patchPixels, rowId } from '@/studio';
import { notThere, sendRaw } from '../../send';

/** Samples of a part of a master's picture: `left`, `top`, `right`, `bottom` in its pixels. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const bytes = await patchPixels(rowId((await params).id), asked, request.signal);
  return bytes ? sendRaw(bytes) : notThere();
}
