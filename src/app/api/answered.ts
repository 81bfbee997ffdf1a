import { Cancelled } from '@/engine';
import { notThere } from './send';

/** How long a browser keeps it: what a master shows never changes; what a view is done with goes. */
export const FOREVER = 'private, max-age=31536000, immutable';
const A_WHILE = 'private, max-age=3600';

/** Answers a picture made on the spot, PNG. */
export async function answered(
  made: Promise<Uint8Array | null> | null,
  kept = A_WHILE,
): Promise<Response> {
  const png = await made?.catch((error: unknown) => {
    // Whoever asked has gone on to another piece.
    if (error instanceof Cancelled) return null;
    throw error;
  });
  if (!png) return notThere();
  return new Response(new Uint8Array(png), {
    headers: {
      'content-type': 'image/png',
      'x-content-type-options': 'nosniff',
      'cache-control': kept,
    },
  });
}
