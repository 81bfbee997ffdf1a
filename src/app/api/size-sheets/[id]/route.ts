import { sizeSheetDocument } from '@/stations/size/documents';
import { notThere, sendBytes } from '../../send';

/** The sizes of a work that are on offer, on one page, as PDF. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const found = await sizeSheetDocument((await params).id);
  return found ? sendBytes(found) : notThere();
}
