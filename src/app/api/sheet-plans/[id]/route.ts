import { sheetPlanDocument } from '@/drawers/papers/sheets/documents';
import { notThere, sendBytes } from '../../send';

/** The list of cuts of a plan of sheets (`form=pdf`), or one of its sheets at 1 : 1 (`form=svg&sheet=1`). */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const found = await sheetPlanDocument(
    (await params).id,
    query.get('form') ?? '',
    query.get('sheet') ?? '',
  );
  return found ? sendBytes(found) : notThere();
}
