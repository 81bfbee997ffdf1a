import { simulateOver } from '@/core/price';
import { workInSteps } from '@/shell/running/stepping';

/** Goes through months of stock and cash, and tells how far it is. */
workInSteps(simulateOver, (share: number) => ({ share, best: null }));
