import { heldDetail, resized } from '../../../../bench/held';
import { deadLeaves } from '../../../../e2e/support/pictures';
import { DEFAULT_KERNEL } from '../../prepare';
import type { KernelId } from '../kernels';

const SIDE = 560;
const truth = { width: SIDE, height: SIDE, data: deadLeaves(SIDE, 5).data };
const small = resized(truth, { width: SIDE / 2, height: SIDE / 2 }, 'lanczos5');
const held = (kernel: KernelId) =>
  heldDetail(truth, resized(small, truth, kernel)).slice(0, 4);

it('the kernel that one begins with holds more true detail than the plain bicubic, in every band that was there', () => {
  const [ours, bicubic, linear] = [DEFAULT_KERNEL, 'bicubic', 'linear'].map((k) =>
    held(k as KernelId),
  );
  ours!.forEach((share, band) => {
    expect(share).toBeLessThan(1.03);
    expect(share).toBeGreaterThan(bicubic![band]! - 0.002);
    expect(bicubic![band]!).toBeGreaterThan(linear![band]!);
  });
  // In the finest band, by a margin.
  expect(ours![3]! - bicubic![3]!).toBeGreaterThan(0.02);
});

it('says nothing of detail that is not there', () => {
  const other = { ...truth, data: deadLeaves(SIDE, 9).data };
  for (const share of heldDetail(truth, other).slice(2))
    expect(Math.abs(share)).toBeLessThan(0.1);
  for (const share of heldDetail(truth, truth)) expect(share).toBeCloseTo(1, 6);
});
