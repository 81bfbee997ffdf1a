import { titlesOf } from '@/data';
import type { JobNow } from '@/engine';
import type { Studio } from '../running/studio';
import { jobKind } from './jobKinds';
import { PLANNED, planOfJob } from './planOfJob';

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

/** The same of what is of no work. */
const HOUSE: Record<string, string> = {
  backup: '/safekeeping',
  check: '/safekeeping',
  restore: '/safekeeping',
  gang: '/papers',
  handOver: '/papers',
  ink: '/printers',
};

async function placeOf(open: Studio, { id, kind, workId }: JobNow): Promise<string> {
  if (workId !== null && PLACES[kind]) return `/works/${workId}/${PLACES[kind]}`;
  const planId = PLANNED.includes(kind) ? await planOfJob(open.db.read, id) : null;
  return planId === null ? (HOUSE[kind] ?? '/') : `/sheets/${planId}`;
}

/** All that runs and waits, in its order, and what ended last. */
export async function runningNow(open: Studio): Promise<RunningJob[]> {
  const jobs = [...open.jobs.list(), ...open.jobs.ended(ENDED)];
  const titles = await titlesOf(
    open.db.read,
    jobs.flatMap((j) => j.workId ?? []),
  );
  return Promise.all(
    jobs.map(async (job) => ({
      ...job,
      what: jobWords(job.kind, (job.workId !== null && titles.get(job.workId)) || null),
      href: await placeOf(open, job),
    })),
  );
}

/**
 * Tells how all work stands, at once and whenever it has changed, at most every `everyMs`, until
 * the returned function is called. What changes while it is being told is told after it.
 */
export function tellRunning(
  open: Studio,
  tell: (jobs: string) => void,
  { everyMs, failed }: { everyMs: number; failed: () => void },
): () => void {
  let last = '';
  let timer: NodeJS.Timeout | null = null;
  let telling = false;
  let again = false;
  let stopped = false;
  const say = async () => {
    timer = null;
    telling = true;
    again = false;
    const text = JSON.stringify(await runningNow(open));
    telling = false;
    if (stopped) return;
    if (text !== last) tell(text);
    last = text;
    if (again) soon();
  };
  const soon = () => {
    if (telling) again = true;
    else timer ??= setTimeout(() => void say().catch(failed), everyMs);
  };
  const unfollow = open.jobs.follow(soon);
  void say().catch(failed);
  return () => {
    stopped = true;
    unfollow();
    if (timer) clearTimeout(timer);
  };
}
