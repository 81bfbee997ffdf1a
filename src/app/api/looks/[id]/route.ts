import { Cancelled } from '@/engine';
import { lookAtPrint } from '@/studio';
import { notThere } from '../../send';

/** A window of a print as a screen shows it: master, and what is asked in the query. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const id = Number((await params).id);
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const found = Number.isInteger(id) ? lookAtPrint(id, asked, request.signal) : null;
  const png = await found?.catch((error: unknown) => {
    // Whoever asked has gone on to another window.
    if (error instanceof Cancelled) return null;
    throw error;
  });
  if (!png) return notThere();
  return new Response(new Uint8Array(png), {
    headers: {
      'content-type': 'image/png',
      'x-content-type-options': 'nosniff',
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
}
