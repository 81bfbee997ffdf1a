import { SHA256, storePaths } from '@/engine';
import { studio } from '@/studio';
import { notThere, sendFile } from '../../send';

/** Darkest and lightest byte of every channel over a grid of squares of a stored master. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ sha: string }> },
): Promise<Response> {
  const { sha } = await params;
  if (!SHA256.test(sha)) return notThere();
  return sendFile(
    storePaths((await studio()).home).extremes(sha),
    'application/octet-stream',
  );
}
