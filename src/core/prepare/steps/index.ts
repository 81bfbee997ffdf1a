import { adjust } from './adjust';
import type { AdjustStep } from './adjust';
import { capture } from './capture';
import type { CaptureStep } from './capture';
import { output } from './output';
import type { OutputStep } from './output';
import { resample } from './resample';
import type { ResampleStep } from './resample';

export { NO_ADJUSTMENT } from './adjust';
export { DEFAULT_KERNEL, reduces } from './resample';
export type { RecipeRows, StepDefinition, StepPlace } from './step';

/** Steps that change the picture. */
export type RecipeStep = CaptureStep | AdjustStep | ResampleStep | OutputStep;

/** Every kind of step, in the order in which a recipe begins with them. */
export const STEPS = { capture, adjust, resample, output } as const;
