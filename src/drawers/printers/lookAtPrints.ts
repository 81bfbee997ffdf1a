import { startJob } from '@/studio';
import type { Studio } from '@/studio';

/** Looks at what was printed, or is to be, and nobody has looked at, as work in the background; 0 where it is at it. */
export async function lookAtPrints(
  open: Studio,
  printerId: number,
  at: string,
): Promise<number> {
  if (open.jobs.list().some((j) => j.kind === 'ink')) return 0;
  const { id } = await startJob(open, {
    kind: 'ink',
    workId: null,
    spec: { printerId },
    at,
  });
  return id;
}
