import { join } from 'node:path';
import { SHA256, storePaths } from '@/engine';
import { studio } from '@/studio';
import { notThere, sendFile } from '../../send';

/** One tile of a stored master: hash, level, `column_row.jpg`. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ path: string[] }> },
): Promise<Response> {
  const [sha = '', level = '', tile = ''] = (await params).path;
  if (!SHA256.test(sha) || !/^\d{1,2}$/.test(level) || !/^\d+_\d+\.jpg$/.test(tile))
    return notThere();
  const folder = storePaths((await studio()).home).tiles(sha);
  // Named by the hash of what they show: they never change.
  return sendFile(join(/*turbopackIgnore: true*/ folder, level, tile), 'image/jpeg', {
    forever: true,
  });
}
