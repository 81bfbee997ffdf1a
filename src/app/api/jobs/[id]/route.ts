import { getJob } from '@/data';
import { followedJob, now, rowId, runJobAgain, studio } from '@/studio';

type Context = { params: Promise<{ id: string }> };

/** No more often than this, however often the work reports. */
const AT_MOST_EVERY_MS = 200;

/** Stream of a job's state: an event when it has changed, until it has ended. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const id = rowId((await params).id);
  const open = await studio();
  const row = await getJob(open.db.read, id);
  if (!row) return new Response('Not there.', { status: 404 });
  const encoder = new TextEncoder();
  let end = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      let last = '';
      let timer: NodeJS.Timeout | null = null;
      let ended = false;
      const say = () => {
        timer = null;
        if (ended) return;
        const job = followedJob(open, row);
        const text = JSON.stringify(job);
        if (text !== last) controller.enqueue(encoder.encode(`data: ${text}\n\n`));
        last = text;
        if (job.state !== 'queued' && job.state !== 'running') end();
      };
      const unfollow = open.jobs.follow(() => {
        timer ??= setTimeout(say, AT_MOST_EVERY_MS);
      });
      end = () => {
        if (ended) return;
        ended = true;
        unfollow();
        if (timer) clearTimeout(timer);
        controller.close();
      };
      request.signal.addEventListener('abort', end);
      say();
    },
    cancel: () => end(),
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}

/** Stops a job. */
export async function DELETE(_request: Request, { params }: Context): Promise<Response> {
  (await studio()).jobs.cancel(rowId((await params).id));
  return new Response(null, { status: 204 });
}

/** Runs a job that did not finish once more. */
export async function POST(_request: Request, { params }: Context): Promise<Response> {
  const id = await runJobAgain(await studio(), rowId((await params).id), now());
  return id === null
    ? Response.json({ message: 'This job is not there to be run again.' }, { status: 409 })
    : Response.json({ id }, { status: 201 });
}
