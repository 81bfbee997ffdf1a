import { randomUUID } from 'node:crypto';
import { currentMaster } from '@/data';
import type { Master } from '@/data';
import { readMaster, settle, storePaths } from '@/engine';
import type { Received } from '@/engine';
import { now } from '../running/studio';
import type { Studio } from '../running/studio';
import { startJob } from './startJob';

/**
 * Takes a received file as the master of a work and waits until it is taken, or `stop` ends
 * it. Throws FileRefusal, or what else made the intake fail; then nothing is left.
 */
export async function takeMaster(
  open: Studio,
  received: Received,
  workId: number,
  name: string,
  { at = now(), stop }: { at?: string; stop?: AbortSignal } = {},
): Promise<Master> {
  const { sha256, bytes } = received;
  const { facts } = await readMaster(received.path, bytes);
  // A name of its own: the same file may arrive for another work, or once more for this one.
  const arrival = randomUUID();
  await settle(received.path, storePaths(open.home).arrival(arrival));
  const spec = { workId, sha256, arrival, bytes, name, facts, at };
  const { id, ended } = await startJob(open, { kind: 'intake', workId, spec, at });
  const cancel = () => open.jobs.cancel(id);
  stop?.addEventListener('abort', cancel);
  if (stop?.aborted) cancel();
  const { cause } = await ended;
  stop?.removeEventListener('abort', cancel);
  if (cause) throw cause as Error;
  return (await currentMaster(open.db.read, workId))!;
}
