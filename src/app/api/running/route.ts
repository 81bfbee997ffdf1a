import { studio, switched, tellRunning } from '@/studio';

/** No more often than this, however often the work reports. */
const AT_MOST_EVERY_MS = 200;
/** Said when nothing else is, so that a connection that is gone is noticed. */
const STILL_THERE_MS = 25_000;

/** Stream of all long work of the house: an event whenever something of it has changed. */
export async function GET(request: Request): Promise<Response> {
  const open = await studio();
  const encoder = new TextEncoder();
  let end = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      let ended = false;
      const send = (text: string) => {
        if (!ended) controller.enqueue(encoder.encode(text));
      };
      const still = setInterval(() => send(': still there\n\n'), STILL_THERE_MS);
      const stop = tellRunning(open, (jobs) => send(`data: ${jobs}\n\n`), {
        everyMs: AT_MOST_EVERY_MS,
        failed: () => end(),
      });
      end = () => {
        if (ended) return;
        ended = true;
        stop();
        clearInterval(still);
        controller.close();
      };
      request.signal.addEventListener('abort', end);
      // Another studio was opened: the browser asks again, and is told of that one.
      switched().addEventListener('switched', () => end(), { once: true });
    },
    cancel: () => end(),
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}
