import { grams } from '@/core/units';
import type { Grams } from '@/core/units';

/** What a scales driver offers. */
export interface Scales {
  name: string;
  read(): Promise<Grams>;
}

/**
 * Simulated scales: weigh what has been laid on the table so far (the parts ticked), a few
 * grams off as real board and tape are.
 */
export const simulatedScales = (
  laid: readonly { mass: Grams }[],
  seed: number,
): Scales => ({
  name: 'bench scales (simulated)',
  read: () => {
    const mass = laid.reduce((total, p) => total + p.mass, 0);
    return Promise.resolve(grams(Math.round(mass + ((seed * 7) % 9) - 4)));
  },
});
