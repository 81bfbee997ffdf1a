import { KERNELS, KERNEL_IDS } from '@/core/image';
import { median, picturesIn } from './folder';
import { middleOf } from './enlarge';
import { heldDetail, resized } from './held';

const SIDE = 1400;
const FACTOR = 2;

/**
 * `npm run bench -- kernels FOLDER`: photographs made half as large and enlarged again by each
 * kernel; how much of the detail that the small ones still have is held.
 */
export async function measureKernels(folder: string): Promise<void> {
  const held = new Map<string, number[][]>();
  for (const path of picturesIn(folder)) {
    const truth = await middleOf(path, SIDE);
    const { width, height } = truth;
    const half = { width: Math.round(width / FACTOR), height: Math.round(height / FACTOR) };
    const small = resized(truth, half, 'lanczos5');
    for (const kernel of KERNEL_IDS) {
      const back = resized(small, { width, height }, kernel);
      const list = held.get(kernel) ?? [];
      list.push(heldDetail(truth, back).slice(0, 4));
      held.set(kernel, list);
    }
  }
  console.log(
    '\nTrue detail held after enlarging 2 x (1: all), by bands up to what was there',
  );
  for (const [kernel, list] of held)
    console.log(
      KERNELS[kernel as keyof typeof KERNELS].name.padEnd(12) +
        [0, 1, 2, 3].map((b) => median(list.map((l) => l[b]!)).toFixed(3)).join('  '),
    );
}
