import { SHA256, storePaths } from '@/engine';
import { studio } from '@/studio';
import { notThere, sendFile } from '../../send';

/** The preview of a stored master, sRGB JPEG. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ sha: string }> },
): Promise<Response> {
  const { sha } = await params;
  if (!SHA256.test(sha)) return notThere();
  return sendFile(storePaths((await studio()).home).preview(sha), 'image/jpeg');
}
