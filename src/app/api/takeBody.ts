import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import type { IntakeAnswer } from '@/stations/capture/received';

/** Hands the streamed body of a request over as a file for a work, and answers how it went. */
export async function takeBody(
  request: Request,
  receive: (
    workId: string,
    name: string,
    body: Readable,
    stop: AbortSignal,
  ) => Promise<IntakeAnswer>,
): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const body = request.body
    ? Readable.fromWeb(request.body as unknown as NodeStream)
    : Readable.from([]);
  const [work, name] = ['work', 'name'].map((key) => searchParams.get(key) ?? '');
  const answer = await receive(work!, name!, body, request.signal);
  return Response.json(answer, { status: answer.ok ? 201 : 422 });
}
