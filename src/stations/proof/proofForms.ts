import { choice, day, defineForm, money, rowNumber, text } from '@/core/input';
import { PROOF_VERDICTS } from '@/core/proof';

const workId = rowNumber('Work');

/** What is noted when a round is sent. */
export const sendForm = defineForm({
  workId,
  sizeKey: { ...text('Size', { max: 40 }), hidden: true },
  paperId: { ...rowNumber('Paper'), hidden: false },
  route: text('Printed by', { max: 80 }),
  sentOn: day('Sent on'),
  cost: money('Cost', { min: 0, max: 1e10 }),
  remarks: text('What this round tries', { min: 0, max: 500 }),
});

/** What is said of a round that came back. */
export const backForm = defineForm({
  workId,
  roundId: rowNumber('Round'),
  seen: text('What was seen', { max: 1000 }),
  toChange: text('To change in the next round', { min: 0, max: 1000 }),
  verdict: choice('Verdict', PROOF_VERDICTS),
});
