import { consignmentNote } from '@/drawers/consignments/documents';
import { notThere, sendBytes } from '../../send';

/** The note of a consignment, to be signed by both, as PDF. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  const found = await consignmentNote((await params).number);
  return found ? sendBytes(found) : notThere();
}
