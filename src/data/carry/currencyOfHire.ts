import { eq } from 'drizzle-orm';
import { DEFAULT_SETTINGS } from '../settings/settings';
import { settings } from '../schema';
import type { CarryStep } from './step';

/** What hiring out costs was kept as bare amounts: they were of the bench's currency. */
export const currencyOfHire: CarryStep = {
  name: 'currency of hire',
  async run(tx) {
    const rows = await tx.select().from(settings);
    const hire = rows.find((r) => r.key === 'hire')?.value as object | undefined;
    if (!hire || 'currency' in hire) return;
    const chosen = rows.find((r) => r.key === 'currency')?.value;
    const value = { ...hire, currency: chosen ?? DEFAULT_SETTINGS.currency };
    await tx.update(settings).set({ value }).where(eq(settings.key, 'hire'));
  },
};
