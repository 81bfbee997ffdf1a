import type { JobRow } from '@/data';
import type { JobDefinition } from './definition';
import { backup } from './kinds/backup';
import { check } from './kinds/check';
import { gang } from './kinds/gang';
import { ink } from './kinds/ink';
import { handOverFiles } from './kinds/handOver';
import { inspectMaster } from './kinds/inspect';
import { intake } from './kinds/intake';
import { printFile } from './kinds/printFile';
import { read } from './kinds/read';
import { restore } from './kinds/restore';
import { sheet } from './kinds/sheet';

/** Every kind of long work, under the name that its rows carry. */
export const JOB_KINDS = {
  intake,
  read,
  inspect: inspectMaster,
  printFile,
  sheet,
  gang,
  ink,
  handOver: handOverFiles,
  backup,
  check,
  restore,
};

export type KindOfJob = keyof typeof JOB_KINDS;

/** What each kind of job is told; plain data, kept in its row. */
export type JobSpecs = {
  [K in KindOfJob]: (typeof JOB_KINDS)[K] extends JobDefinition<infer Spec> ? Spec : never;
};

/** The definition of a job's kind; its spec is whatever the row keeps. */
export const jobKind = (kind: string): JobDefinition<unknown> =>
  (JOB_KINDS as unknown as Record<string, JobDefinition<unknown>>)[kind]!;

/** What jobs that were cut off need when they are run again. */
export const neededBy = (rows: readonly Pick<JobRow, 'kind' | 'spec'>[]) => ({
  arrivals: rows.flatMap((r) => jobKind(r.kind).needsArrivals?.(r.spec) ?? []),
  parts: rows.flatMap((r) => jobKind(r.kind).leavesParts?.(r.spec) ?? []),
});
