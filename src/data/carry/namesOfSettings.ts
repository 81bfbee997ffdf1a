import { eq } from 'drizzle-orm';
import { undoSteps } from '../schema';
import type { CarryStep } from './step';

const NAMES: Record<string, string> = { sizing: 'size', packing: 'pack' };

const renamed = (values: Record<string, unknown>) =>
  Object.fromEntries(Object.entries(values).map(([k, v]) => [NAMES[k] ?? k, v]));

/** Steps that can be taken back name the settings as they are called now. */
export const namesOfSettings: CarryStep = {
  name: 'names of settings',
  async run(tx) {
    for (const { id, step } of await tx.select().from(undoSteps)) {
      const old = step as { kind: string; before: object; after: object };
      if (old.kind !== 'settings') continue;
      const now = {
        ...old,
        before: renamed({ ...old.before }),
        after: renamed({ ...old.after }),
      };
      await tx.update(undoSteps).set({ step: now }).where(eq(undoSteps.id, id));
    }
  },
};
