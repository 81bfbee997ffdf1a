import { getDocument } from '@/data';
import { storePaths } from '@/engine';
import { rowId, studio } from '@/studio';
import { notThere, sendFile } from '../../send';

/** A document of an order, as PDF. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const open = await studio();
  const document = await getDocument(open.db.read, rowId((await params).id));
  return document
    ? sendFile(storePaths(open.home).file(document.sha256), 'application/pdf', {
        download: document.name,
      })
    : notThere();
}
