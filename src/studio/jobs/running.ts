import { titlesOf } from '@/data';
import type { JobNow } from '@/engine';
import type { Studio } from '../running/studio';
import { jobKind } from './jobKinds';

/** A job as the whole house follows it: what it is, and where it is seen. */
export interface RunningJob extends JobNow {
  what: string;
  href: string;
}

/** So many of those that have ended are still told. */
const ENDED = 20;

/** Where the work of a job of each kind is seen; of a work that is gone, on the table. */
const PLACES: Record<string, string> = {
  intake: 'capture',
  read: 'capture',
  inspect: 'capture',
  printFile: 'prepare?sheet=files',
  sheet: 'prepare?sheet=proof',
  handOver: 'prepare?sheet=handOver',
};

/** What long work is, and of which work. */
export const jobWords = (kind: string, work: string | null): string =>
  `${jobKind(kind)?.called ?? kind}${work === null ? '' : ` of ${work}`}`;

const placeOf = ({ kind, workId }: JobNow): string =>
  workId !== null && PLACES[kind]
    ? `/works/${workId}/${PLACES[kind]}`
    : kind === 'backup' || kind === 'check'
      ? '/safekeeping'
      : '/';

/** All that runs and waits, in its order, and what ended last. */
export async function runningNow(open: Studio): Promise<RunningJob[]> {
  const jobs = [...open.jobs.list(), ...open.jobs.ended(ENDED)];
  const titles = await titlesOf(
    open.db.read,
    jobs.flatMap((j) => j.workId ?? []),
  );
  return jobs.map((job) => ({
    ...job,
    what: jobWords(job.kind, (job.workId !== null && titles.get(job.workId)) || null),
    href: placeOf(job),
  }));
}
