import { figuresOfProof } from '@/studio';
import { notThere } from '../../send';

/** What printing a master through a profile costs it, JSON; `on`, `blackPoint` and `later` in the query. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const id = Number((await params).id);
  const { searchParams } = new URL(request.url);
  const found = Number.isInteger(id)
    ? await figuresOfProof(
        id,
        searchParams.get('on') ?? '',
        searchParams.get('blackPoint') !== 'no',
        searchParams.get('later') === 'yes',
      )
    : null;
  if (!found) return notThere();
  return Response.json(found, { headers: { 'cache-control': 'private, max-age=300' } });
}
