import { rowId } from '@/studio';
import { ruleChangeOf } from '@/stations/prepare/ruleChangeOf';

/** How far the rule of now is from that of a recipe, on a size of a work: `size`, `recipe`. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const asked = {
    ...Object.fromEntries(searchParams),
    workId: String(rowId((await params).id)),
  };
  const answer = await ruleChangeOf(asked, request.signal);
  return Response.json(answer, {
    status: answer.ok ? 200 : 400,
    headers: { 'cache-control': 'no-store' },
  });
}
