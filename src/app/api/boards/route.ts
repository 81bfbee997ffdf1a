import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { receiveBoard } from '@/stations/capture/intakeBoard';

/** Takes the body, streamed, as a board shot in the light of a work. */
export async function PUT(request: Request): Promise<Response> {
  const url = new URL(request.url);
  const body = request.body
    ? Readable.fromWeb(request.body as unknown as NodeStream)
    : Readable.from([]);
  const answer = await receiveBoard(
    url.searchParams.get('work') ?? '',
    url.searchParams.get('name') ?? '',
    body,
    request.signal,
  );
  return Response.json(answer, { status: answer.ok ? 201 : 422 });
}
