import { now, rowId, runJobAgain, studio } from '@/studio';

type Context = { params: Promise<{ id: string }> };

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
