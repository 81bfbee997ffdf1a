import { readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import yazl from 'yazl';
import { dayIn } from '@/core/days';
import { readSettings } from '@/data';
import { storePaths } from '@/engine';
import { exportEverything, faultWords, now, studio } from '@/studio';

/** Every table as CSV and JSON, in one ZIP archive. */
export async function GET(): Promise<Response> {
  const open = await studio();
  const { timeZone } = await readSettings(open.db.read);
  // Among what is swept at a start, should this one be cut off.
  const folder = storePaths(open.home).temporary();
  const sweep = () => rm(folder, { recursive: true, force: true });
  const zip = new yazl.ZipFile();
  try {
    await exportEverything(open.db.read, folder);
    for (const name of await readdir(folder))
      zip.addFile(join(/*turbopackIgnore: true*/ folder, name), name);
  } catch (error) {
    await sweep();
    const words = faultWords(error);
    if (words === null) throw error;
    return new Response(words, { status: 507 });
  }
  zip.end();
  const stream = zip.outputStream as Readable;
  stream.on('close', () => void sweep());
  return new Response(Readable.toWeb(stream) as unknown as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="glassine-tables-${dayIn(now(), timeZone)}.zip"`,
    },
  });
}
