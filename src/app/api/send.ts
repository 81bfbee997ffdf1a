import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { formatOfName } from '@/core/prepare';

/** Streams a file of the data folder; 404 when it is not there. */
export async function sendFile(
  path: string,
  type: string,
  options: { download?: string; forever?: boolean } = {},
): Promise<Response> {
  const found = await stat(path).catch(() => null);
  if (!found?.isFile()) return new Response('Not there.', { status: 404 });
  const headers: Record<string, string> = {
    'content-type': type,
    'content-length': String(found.size),
    'x-content-type-options': 'nosniff',
    'cache-control': options.forever ? 'private, max-age=31536000, immutable' : 'no-cache',
  };
  if (options.download)
    headers['content-disposition'] =
      `attachment; filename*=UTF-8''${encodeURIComponent(options.download)}`;
  const body = Readable.toWeb(createReadStream(path)) as unknown as ReadableStream;
  return new Response(body, { headers });
}

/** A written picture, kept by its hash, under its own name. */
export const sendPicture = (path: string, name: string): Promise<Response> =>
  sendFile(path, `image/${formatOfName(name)}`, { download: name });

export const SHA256 = /^[0-9a-f]{64}$/;
export const notThere = () => new Response('Not there.', { status: 404 });

/** Sends what was made on the spot, to be kept under its name. */
export const sendBytes = (made: {
  bytes: Uint8Array;
  type: string;
  name: string;
}): Response =>
  new Response(new Uint8Array(made.bytes), {
    headers: {
      'content-type': made.type,
      'x-content-type-options': 'nosniff',
      'cache-control': 'no-store',
      'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(made.name)}`,
    },
  });

/** Sends samples that were read on the spot, for a view that stays open. */
export const sendRaw = (bytes: Uint8Array): Response =>
  new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'application/octet-stream',
      'x-content-type-options': 'nosniff',
      'cache-control': 'private, max-age=300',
    },
  });
