import { SHA256, storePaths } from '@/engine';
import { pictureType, studio } from '@/studio';
import { notThere, sendFile } from '../../send';

/** A photograph of a print. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ sha: string }> },
): Promise<Response> {
  const { sha } = await params;
  if (!SHA256.test(sha)) return notThere();
  const { home } = await studio();
  const path = storePaths(home).file(sha);
  const type = await pictureType(path);
  return type ? sendFile(path, type, { forever: true }) : notThere();
}
