import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { receiveMaster } from '@/stations/capture/intake';

/** Takes the body, streamed, as the master of a work. */
export async function PUT(request: Request): Promise<Response> {
  const url = new URL(request.url);
  const body = request.body
    ? Readable.fromWeb(request.body as unknown as NodeStream)
    : Readable.from([]);
  const answer = await receiveMaster(
    url.searchParams.get('work') ?? '',
    url.searchParams.get('name') ?? '',
    body,
    request.signal,
  );
  return Response.json(answer, { status: answer.ok ? 201 : 422 });
}
