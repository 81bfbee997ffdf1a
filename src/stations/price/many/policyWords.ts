import type { SimulatedPolicy } from '@/core/price';

/** Ways of keeping stock, as they are said. */
export const POLICY_WORDS: Record<SimulatedPolicy['policy'], string> = {
  toOrder: 'each when it is ordered',
  small: 'small batches, again when few are left',
  large: 'the best batch, once',
  mixed: 'half of it, then each when it is ordered',
};
