import { KERNEL_IDS, resample as resampleRows } from '../../image';
import type { KernelId } from '../../image';
import { done } from './step';
import type { StepDefinition } from './step';

export interface ResampleStep {
  kind: 'resample';
  on: true;
  kernel: KernelId;
  ppi: number;
}

export const DEFAULT_KERNEL: KernelId = 'lanczos3';

/** The part of the picture that is printed becomes as many pixels as the printer is fed. */
export const resample: StepDefinition<ResampleStep> = {
  kind: 'resample',
  numbers: ['ppi'],
  choices: { kernel: KERNEL_IDS },
  usual: ({ ppi }) => ({ kind: 'resample', on: true, kernel: DEFAULT_KERNEL, ppi }),
  rows({ kernel }, shape, { image: { width, height }, source }) {
    const rows = resampleRows(shape, { kernel, part: source, width, height });
    return [done(rows, 'resample', kernel)];
  },
};
