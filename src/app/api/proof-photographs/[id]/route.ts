import { proofPhotographShown } from '@/studio';
import { notThere, sendBytes } from '../../send';

/** A photograph of a round as a page shows it, JPEG. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const bytes = await proofPhotographShown((await params).id);
  return bytes
    ? sendBytes({ bytes, type: 'image/jpeg', name: 'photograph.jpg' })
    : notThere();
}
