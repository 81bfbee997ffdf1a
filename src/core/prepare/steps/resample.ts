import { KERNEL_IDS, resample as resampleRows } from '../../image';
import type { KernelId } from '../../image';
import { done } from './step';
import type { StepDefinition, StepPlace } from './step';

export interface ResampleStep {
  kind: 'resample';
  on: true;
  kernel: KernelId;
  ppi: number;
}

export const DEFAULT_KERNEL: KernelId = 'lanczos3';

/**
 * Whether the print has fewer pixels than the part of the picture it is made of. Pixels are then
 * mixed, and only light mixes truly; where pixels are put between, encoded values ring least.
 */
export const reduces = ({ image, source }: StepPlace['plan']): boolean =>
  source.width * source.height > image.width * image.height;

/** The part of the picture that is printed becomes as many pixels as the printer is fed. */
export const resample: StepDefinition<ResampleStep> = {
  kind: 'resample',
  numbers: ['ppi'],
  choices: { kernel: KERNEL_IDS },
  usual: ({ ppi }) => ({ kind: 'resample', on: true, kernel: DEFAULT_KERNEL, ppi }),
  rows({ kernel }, { shape, plan }) {
    const { width, height } = plan.image;
    const rows = resampleRows(shape, { kernel, part: plan.source, width, height });
    return [{ ...done(rows, 'resample', kernel), light: reduces(plan) }];
  },
};
