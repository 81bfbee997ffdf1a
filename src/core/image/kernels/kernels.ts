import { cubic } from './cubic';
import { lanczos, lanczos3 } from './lanczos';

export type KernelId =
  'linear' | 'mitchell' | 'bicubic' | 'lanczos2' | 'lanczos3' | 'lanczos5';

export interface Kernel {
  name: string;
  /** Source pixels on each side that count, when enlarging. */
  reach: number;
  weight: (x: number) => number;
}

/** Kernels of resampling, from soft to crisp. */
export const KERNELS: Record<KernelId, Kernel> = {
  linear: { name: 'linear', reach: 1, weight: (x) => Math.max(0, 1 - Math.abs(x)) },
  mitchell: { name: 'Mitchell', reach: 2, weight: cubic(1 / 3, 1 / 3) },
  bicubic: { name: 'bicubic', reach: 2, weight: cubic(0, 0.5) },
  lanczos2: { name: 'Lanczos 2', reach: 2, weight: lanczos(2) },
  lanczos3: { name: 'Lanczos 3', reach: 3, weight: lanczos3 },
  lanczos5: { name: 'Lanczos 5', reach: 5, weight: lanczos(5) },
};

export const KERNEL_IDS = Object.keys(KERNELS) as KernelId[];
