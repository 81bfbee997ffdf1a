import { readingFile } from '@/studio';
import { notThere, sendBytes } from '../../send';

/** The readings of a round's control strip as a file: CGATS text, or CSV with `form=csv`. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const form = new URL(request.url).searchParams.get('form');
  const made = await readingFile((await params).id, form === 'csv' ? 'csv' : 'cgats');
  return made ? sendBytes(made) : notThere();
}
