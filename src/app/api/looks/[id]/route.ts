import { lookAtPrint } from '@/studio';
import { FOREVER, answered } from '../../answered';

/** A window of a print as a screen shows it: master, and what is asked in the query. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const id = Number((await params).id);
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const found = Number.isInteger(id) ? lookAtPrint(id, asked, request.signal) : null;
  return answered(found, FOREVER);
}
