import { logDocument } from '@/drawers/log/documents';
import { sendBytes } from '../send';

/** The log book of what was printed: CSV, or with `form=pdf` to be printed. */
export async function GET(request: Request): Promise<Response> {
  const query = Object.fromEntries(new URL(request.url).searchParams);
  return sendBytes(await logDocument(query));
}
