import { proposals, rowId } from '@/studio';
import { notThere } from '../../send';

/** Pieces of a master's picture that are worth a look; `width` and `height`: shares of it. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const found = await proposals(rowId((await params).id), asked, request.signal);
  return found ? Response.json(found) : notThere();
}
