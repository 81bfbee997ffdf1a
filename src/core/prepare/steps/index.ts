import { adjust } from './adjust';
import type { AdjustStep } from './adjust';
import { balance } from './balance';
import type { BalanceStep } from './balance';
import { capture } from './capture';
import type { CaptureStep } from './capture';
import { output } from './output';
import type { OutputStep } from './output';
import { resample } from './resample';
import type { ResampleStep } from './resample';

export { ADJUSTED, NO_ADJUSTMENT } from './adjust';
export { tints } from './balance';
export { DEFAULT_KERNEL, reduces } from './resample';
export type { RecipeRows, StepDefinition, StepPlace } from './step';

/** Steps that change the picture. */
export type RecipeStep = CaptureStep | AdjustStep | BalanceStep | ResampleStep | OutputStep;

/** Every kind of step, in the order in which a recipe begins with them. */
export const STEPS = { capture, adjust, balance, resample, output } as const;
