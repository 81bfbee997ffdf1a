import { getSheetFile } from '@/data';
import { storePaths } from '@/engine';
import { rowId, studio } from '@/studio';
import { notThere, sendFile, sendPicture } from '../../send';

/** A written sheet under its own name: the TIFF or PNG, or with `form=pdf` the PDF. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const open = await studio();
  const file = await getSheetFile(open.db.read, rowId((await params).id));
  if (!file) return notThere();
  const paths = storePaths(open.home);
  return new URL(request.url).searchParams.get('form') === 'pdf'
    ? sendFile(paths.file(file.pdfSha256), 'application/pdf', {
        download: file.name.replace(/\.\w+$/, '.pdf'),
      })
    : sendPicture(paths.file(file.sha256), file.name);
}
