import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Series } from '@/core/edition';
import { id, at } from './columns';
import { works } from './works';

export type JobKind =
  'intake' | 'read' | 'inspect' | 'printFile' | 'sheet' | 'handOver' | 'backup' | 'check';

/** Long work. `spec` holds all that is needed to run it again. */
export const jobs = sqliteTable(
  'job',
  {
    id: id(),
    kind: text('kind').$type<JobKind>().notNull(),
    workId: integer('work_id').references(() => works.id),
    spec: text('spec', { mode: 'json' }).$type<unknown>().notNull().default('{}'),
    state: text('state')
      .$type<'queued' | 'running' | 'done' | 'failed' | 'cancelled' | 'cutOff'>()
      .notNull(),
    stage: text('stage').notNull(),
    error: text('error'),
    /** What it found or made, where that is not a fact of its own. */
    result: text('result', { mode: 'json' }).$type<unknown>(),
    at: at(),
  },
  (t) => [
    index('job_of_kind').on(t.kind, t.state, t.id),
    index('job_of_work').on(t.workId, t.kind, t.id),
    index('job_in_state').on(t.state),
  ],
);

/** How to take a step back: what was there before it. Each is used once at most. */
export const undoSteps = sqliteTable('undo_step', {
  id: id(),
  at: at(),
  label: text('label').notNull(),
  step: text('step', { mode: 'json' }).$type<unknown>().notNull(),
  undoneAt: text('undone_at'),
});

/** The log book: one line for every write, in order. */
export const logLines = sqliteTable(
  'log_line',
  {
    id: id(),
    at: at(),
    what: text('what').notNull(),
    workId: integer('work_id'),
    sizeKey: text('size_key'),
    editionId: integer('edition_id'),
    series: text('series').$type<Series>(),
    impression: integer('impression'),
    orderId: integer('order_id'),
    detail: text('detail', { mode: 'json' })
      .$type<Record<string, string | number | null>>()
      .notNull(),
  },
  (t) => [
    index('log_in_order').on(t.at, t.id),
    index('log_of_work').on(t.workId, t.at, t.id),
    index('log_of_impression').on(t.editionId, t.series, t.impression),
  ],
);
