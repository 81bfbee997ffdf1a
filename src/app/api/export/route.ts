import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import yazl from 'yazl';
import { exportEverything, now, studio } from '@/studio';

/** Every table as CSV and JSON, in one ZIP archive. */
export async function GET(): Promise<Response> {
  const open = await studio();
  const folder = await mkdtemp(join(/*turbopackIgnore: true*/ open.home, 'export-'));
  await exportEverything(open.db.read, folder);
  const zip = new yazl.ZipFile();
  for (const name of await readdir(folder))
    zip.addFile(join(/*turbopackIgnore: true*/ folder, name), name);
  zip.end();
  const stream = zip.outputStream as Readable;
  stream.on('close', () => void rm(folder, { recursive: true, force: true }));
  return new Response(Readable.toWeb(stream) as unknown as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="glassine-tables-${now().slice(0, 10)}.zip"`,
    },
  });
}
