import { integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { ProofVerdict } from '@/core/proof';
import { at, currency, id, money } from './columns';
import { papers } from './paper';
import { printFiles } from './prepare';
import { workId } from './work';

export const proofRounds = sqliteTable(
  'proof_round',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    paperId: integer('paper_id')
      .notNull()
      .references(() => papers.id),
    round: integer('round').notNull(),
    route: text('route').notNull(),
    printFileId: integer('print_file_id').references(() => printFiles.id),
    cost: money('cost_minor').notNull(),
    currency: currency(),
    remarks: text('remarks').notNull(),
    sentAt: at('sent_at'),
  },
  (t) => [uniqueIndex('proof_round_once').on(t.workId, t.sizeKey, t.paperId, t.round)],
);

/** What was seen when a round came back; one per round. */
export const proofReturns = sqliteTable('proof_return', {
  roundId: integer('round_id')
    .primaryKey()
    .references(() => proofRounds.id),
  seen: text('seen').notNull(),
  toChange: text('to_change').notNull(),
  verdict: text('verdict').$type<ProofVerdict>().notNull(),
  backAt: at('back_at'),
});
