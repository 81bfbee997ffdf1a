import { choice, defineForm, hinted, money, percent, whole } from '@/core/input';
import { CHANNEL_IDS } from '@/core/price';

const MOST = 1e10;
const paid = (title: string) => money(title, { min: 0, max: MOST });
const prints = (title: string) => whole(title, { min: 0, max: 10_000 }, 'prints');

/** Where it is taken from how many will be wanted. */
export const WANTED_FROM = ['sales', 'guesses'] as const;

/** What becomes of those that are wanted and not there. */
export const MISSING = ['lost', 'again'] as const;

/** Whether what is paid once is paid with this batch. */
export const ONCE = ['counted', 'paid'] as const;

/** What is asked of a batch, and what it is reckoned with. */
export const manyForm = defineForm({
  price: money('Price asked', { min: 0, max: MOST }),
  channel: choice('Sold through', CHANNEL_IDS),
  months: whole('For how long', { min: 1, max: 60 }, 'months'),
  wantedFrom: choice('How many are wanted', WANTED_FROM),
  low: prints('At the least'),
  likely: prints('Likely'),
  high: prints('At the most'),
  unsoldWorth: hinted(
    money('One left over is worth', { min: -MOST, max: MOST }),
    'at once; storing and damage below',
  ),
  storage: paid('Storing one, a month'),
  damaged: percent('Damaged while it lies', { min: 0, max: 100 }),
  missing: choice('What is missing', MISSING),
  once: choice('Capture and proofs', ONCE),
  testFault: hinted(
    percent('First print is wrong', { min: 0, max: 90 }),
    'rule of thumb; one of ten',
  ),
});

/** Guesses that are out of order, said at their fields. */
export const guessFault = ({
  wantedFrom,
  low,
  likely,
  high,
}: {
  wantedFrom: (typeof WANTED_FROM)[number];
  low: number;
  likely: number;
  high: number;
}): Record<string, string> => {
  if (wantedFrom === 'sales') return {};
  if (low > likely) return { low: 'At the least: it is more than what is likely.' };
  return likely > high ? { high: 'At the most: it is less than what is likely.' } : {};
};
