import { getDocument } from '@/data';
import { rowId, studio } from '@/studio';
import { notThere, sendStored } from '../../send';

/** A document of an order, as PDF. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const open = await studio();
  const document = await getDocument(open.db.read, rowId((await params).id));
  return document
    ? sendStored(open.home, document.sha256, 'application/pdf', document.name)
    : notThere();
}
