import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { id, at } from './columns';
import { works } from './work';

export type JobKind =
  | 'intake'
  | 'read'
  | 'inspect'
  | 'printFile'
  | 'sheet'
  | 'gang'
  | 'ink'
  | 'handOver'
  | 'backup'
  | 'check'
  | 'restore';

/** Who runs long work in a data folder: the one server, or the command line beside it. */
export type Role = 'server' | 'command';

/** Long work. `spec` holds all that is needed to run it again. */
export const jobs = sqliteTable(
  'job',
  {
    id: id(),
    kind: text('kind').$type<JobKind>().notNull(),
    workId: integer('work_id').references(() => works.id),
    by: text('by').$type<Role>().notNull().default('server'),
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

/** Steps of the move from an earlier version that were done, beyond what SQL can do. */
export const carried = sqliteTable('carried', {
  step: text('step').primaryKey(),
  at: at(),
});
