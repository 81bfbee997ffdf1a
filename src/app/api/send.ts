import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { formatOfName } from '@/core/prepare';
import { SHA256, storePaths } from '@/engine';

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

export const notThere = () => new Response('Not there.', { status: 404 });

/** A file of the store by its hash, under its own name; 404 for what is no hash. */
export const sendStored = (
  home: string,
  sha256: string,
  type: string,
  name: string,
): Promise<Response> =>
  SHA256.test(sha256)
    ? sendFile(storePaths(home).file(sha256), type, { download: name })
    : Promise.resolve(notThere());

/** A written picture, kept by its hash, under its own name. */
export const sendPicture = (
  home: string,
  sha256: string,
  name: string,
): Promise<Response> => sendStored(home, sha256, `image/${formatOfName(name)}`, name);

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
