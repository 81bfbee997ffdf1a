import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import type { IntakeAnswer } from '@/studio';

const bodyOf = (request: Request): Readable =>
  request.body
    ? Readable.fromWeb(request.body as unknown as NodeStream)
    : Readable.from([]);

const answered = (answer: IntakeAnswer): Response =>
  Response.json(answer, { status: answer.ok ? 201 : 422 });

/** Hands the streamed body of a request over as a file, and answers how it went. */
export async function takeFile(
  request: Request,
  receive: (name: string, body: Readable) => Promise<IntakeAnswer>,
): Promise<Response> {
  const name = new URL(request.url).searchParams.get('name') ?? '';
  return answered(await receive(name, bodyOf(request)));
}

/** The same for a file of a work. */
export const takeBody = (
  request: Request,
  receive: (
    workId: string,
    name: string,
    body: Readable,
    stop: AbortSignal,
  ) => Promise<IntakeAnswer>,
): Promise<Response> =>
  takeFile(request, (name, body) => {
    const work = new URL(request.url).searchParams.get('work') ?? '';
    return receive(work, name, body, request.signal);
  });
