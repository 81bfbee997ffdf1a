import { runningNow, studio } from '@/studio';

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
      let last = '';
      let timer: NodeJS.Timeout | null = null;
      let ended = false;
      const send = (text: string) => {
        if (!ended) controller.enqueue(encoder.encode(text));
      };
      const say = async () => {
        const text = JSON.stringify(await runningNow(open));
        timer = null;
        if (text !== last) send(`data: ${text}\n\n`);
        last = text;
      };
      const soon = () => {
        timer ??= setTimeout(() => void say().catch(end), AT_MOST_EVERY_MS);
      };
      const unfollow = open.jobs.follow(soon);
      const still = setInterval(() => send(': still there\n\n'), STILL_THERE_MS);
      end = () => {
        if (ended) return;
        ended = true;
        unfollow();
        clearInterval(still);
        if (timer) clearTimeout(timer);
        controller.close();
      };
      request.signal.addEventListener('abort', end);
      void say().catch(end);
    },
    cancel: () => end(),
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}
