import { proofReportDocument } from '@/stations/proof/report';
import { notThere, sendBytes } from '../../send';

/** The proof rounds of a work, a page each, as PDF; `size` in the query: those of one size. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const size = new URL(request.url).searchParams.get('size');
  const found = await proofReportDocument((await params).id, size);
  return found ? sendBytes(found) : notThere();
}
