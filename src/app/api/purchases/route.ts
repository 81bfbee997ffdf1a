import { purchasesDocument } from '@/drawers/purchases/documents';
import { sendBytes } from '../send';

/** What is to be ordered within some days (`within=30`), by supplier, as PDF. */
export async function GET(request: Request): Promise<Response> {
  const query = Object.fromEntries(new URL(request.url).searchParams);
  return sendBytes(await purchasesDocument(query));
}
