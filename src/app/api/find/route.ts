import { findFor } from '@/drawers/find/view';

/** What is found under some words, for the find dialog. */
export async function GET(request: Request): Promise<Response> {
  const find = new URL(request.url).searchParams.get('find') ?? '';
  return Response.json(await findFor(find.slice(0, 100)));
}
