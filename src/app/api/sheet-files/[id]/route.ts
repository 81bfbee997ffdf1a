import { getSheetFile } from '@/data';
import { rowId, studio } from '@/studio';
import { notThere, sendPicture, sendStored } from '../../send';

/** A written sheet under its own name: the TIFF or PNG, or with `form=pdf` the PDF. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const open = await studio();
  const file = await getSheetFile(open.db.read, rowId((await params).id));
  if (!file) return notThere();
  return new URL(request.url).searchParams.get('form') === 'pdf'
    ? sendStored(
        open.home,
        file.pdfSha256,
        'application/pdf',
        file.name.replace(/\.\w+$/, '.pdf'),
      )
    : sendPicture(open.home, file.sha256, file.name);
}
