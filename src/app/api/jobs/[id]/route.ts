import { getJob } from '@/data';
import { studio } from '@/studio';

type Context = { params: Promise<{ id: string }> };

const EVERY_MS = 250;

async function view(id: number) {
  const open = await studio();
  const live = open.jobs.get(id);
  if (live) return live;
  const row = await getJob(open.db.read, id);
  return row ? { ...row, share: row.state === 'done' ? 1 : 0 } : null;
}

/** Stream of a job's state, an event when it changes, until it has ended. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const id = Number((await params).id);
  const encoder = new TextEncoder();
  let last = '';
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      while (!request.signal.aborted) {
        const job = await view(id);
        const text = JSON.stringify(job);
        if (text !== last) controller.enqueue(encoder.encode(`data: ${text}\n\n`));
        last = text;
        if (!job || !['queued', 'running'].includes(job.state)) break;
        await new Promise((resolve) => setTimeout(resolve, EVERY_MS));
      }
      controller.close();
    },
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}

/** Cancels a job. */
export async function DELETE(_request: Request, { params }: Context): Promise<Response> {
  (await studio()).jobs.cancel(Number((await params).id));
  return new Response(null, { status: 204 });
}
