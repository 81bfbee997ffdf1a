'use server';
import { addExpense, takeBackExpense } from '@/data';
import { act, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import { expenseForm, takeBackForm } from './expenseForm';

const WORDS = {
  noExpense: 'This is taken back already, or was never noted. Open Accounts anew.',
};

/** Notes what was paid beside sales. */
export async function noteExpense(typed: unknown): Promise<Answer<null>> {
  return act(expenseForm, typed, WORDS, async (v, { settings, write, at, today }) => {
    if (v.onDay > today) {
      const message = 'On: it is still to come. Note it once it was paid.';
      return refuse(message, { onDay: message });
    }
    const { currency } = settings;
    const channel = v.kind === 'mishap' ? '' : v.channel;
    await write((tx) =>
      addExpense(tx, { ...v, channel, workId: null, sizeKey: null, currency, at }),
    );
    return null;
  });
}

/** Takes back what was noted wrongly; both stay in the log book. */
export async function takeBack(typed: unknown): Promise<Answer<null>> {
  return act(takeBackForm, typed, WORDS, async ({ expense }, { write, at }) => {
    await write((tx) => takeBackExpense(tx, expense, at));
    return null;
  });
}
