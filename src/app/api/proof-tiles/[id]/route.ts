import { proofTileOf } from '@/studio';
import { answered } from '../../answered';

/** A tile of a master as it would print: master, and what is asked in the query. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const id = Number((await params).id);
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  return answered(Number.isInteger(id) ? proofTileOf(id, asked, request.signal) : null);
}
