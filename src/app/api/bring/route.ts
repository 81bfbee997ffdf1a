import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { revalidatePath } from 'next/cache';
import { sniff } from '@/core/image';
import { bringOrders } from '@/drawers/orders/bring/actions';
import { orderListForm } from '@/drawers/orders/bring/orderListForm';
import { paperListForm } from '@/drawers/papers/paperListForm';
import { bringPapers } from '@/drawers/papers/actions';
import { receiveProfile } from '@/studio';
import { bringWork, headsKnown, shownName } from '@/studio';
import type { Brought } from '@/studio';

/** So much of a file tells what it is. */
const HEAD = 64;
/** A list of papers is no larger. */
const MOST_LIST = 2_000_000;

/** A stream from its beginning again, with its first bytes looked at. */
async function headOf(source: Readable): Promise<{ head: Buffer; whole: Readable }> {
  const parts: Buffer[] = [];
  let length = 0;
  const reading = source[Symbol.asyncIterator]() as AsyncIterator<Buffer, undefined>;
  while (length < HEAD) {
    const next: IteratorResult<Buffer, undefined> = await reading.next();
    if (next.done) break;
    parts.push(next.value);
    length += next.value.length;
  }
  const head = Buffer.concat(parts);
  return {
    head,
    whole: Readable.from(
      (async function* () {
        if (head.length > 0) yield head;
        for (;;) {
          const next: IteratorResult<Buffer, undefined> = await reading.next();
          if (next.done) return;
          yield next.value;
        }
      })(),
    ),
  };
}

/** Words, as far as the first bytes tell. */
const isText = (head: Buffer) =>
  head.length > 0 && !head.some((byte) => byte < 9 || (byte > 13 && byte < 32));

async function bringList(name: string, source: Readable): Promise<Brought> {
  const parts: Buffer[] = [];
  let length = 0;
  for await (const part of source as AsyncIterable<Buffer>) {
    length += part.length;
    if (length > MOST_LIST)
      return { ok: false, message: `${name}: a list has 2 MB at most; this is no list.` };
    parts.push(part);
  }
  const list = Buffer.concat(parts).toString('utf8');
  // Told by its heads: those of a name and an address are in both, the rest is not.
  const isOrders =
    headsKnown(list, orderListForm.titles) > headsKnown(list, paperListForm.titles);
  const answer = isOrders ? await bringOrders({ list }) : await bringPapers({ list });
  if (!answer.ok) return { ok: false, message: `${name}: ${answer.message}` };
  return isOrders
    ? { ok: true, name, words: 'Its orders are taken.', href: '/orders' }
    : { ok: true, name, words: 'Its papers are in the drawer.', href: '/papers' };
}

/** Takes any file, judged by what is in it: a picture becomes a work, a list papers, a profile a profile. */
export async function PUT(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const given = searchParams.get('name') ?? '';
  const name = shownName(given);
  const width = Number(searchParams.get('width') ?? NaN);
  const body = request.body
    ? Readable.fromWeb(request.body as unknown as NodeStream)
    : Readable.from([]);
  const { head, whole } = await headOf(body);
  const answer = async (): Promise<Brought> => {
    if (head.subarray(36, 40).toString('latin1') === 'acsp') {
      const taken = await receiveProfile(given, whole);
      return taken.ok
        ? {
            ok: true,
            name,
            words: 'It is in the profile library; say which paper it is for.',
            href: '/papers/profiles',
          }
        : taken;
    }
    const kind = sniff(head);
    if (kind === 'unknown' && isText(head)) return bringList(name, whole);
    return bringWork(given, whole, {
      width: width > 0 && width < 20_000 ? width : null,
      stop: request.signal,
    });
  };
  const brought = await answer();
  if (brought.ok) revalidatePath('/', 'layout');
  return Response.json(brought, { status: brought.ok ? 201 : 422 });
}
