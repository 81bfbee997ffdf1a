import { getPrintFile } from '@/data';
import { rowId, studio } from '@/studio';
import { notThere, sendPicture } from '../../send';

/** A written print file, under its own name. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const open = await studio();
  const file = await getPrintFile(open.db.read, rowId((await params).id));
  return file ? sendPicture(open.home, file.sha256, file.name) : notThere();
}
