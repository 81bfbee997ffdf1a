import { priceListDocument } from '@/stations/price/ladder/priceListDocument';
import { notThere, sendBytes } from '../../send';

/** The price list of a work for a channel: `channel`, and `form` pdf or csv. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const query = Object.fromEntries(new URL(request.url).searchParams);
  const found = await priceListDocument((await params).id, query);
  return found ? sendBytes(found) : notThere();
}
