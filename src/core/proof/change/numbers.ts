import { BALANCE_LENGTHS } from '../../colour';
import type { BalancePart } from '../../colour';
import { ADJUSTED, LIMITS, STEPS } from '../../prepare';
import type { RecipeStep, StepOf } from '../../prepare';
import type { Sought } from './leastSquares';

/** Parts of a recipe that a change may move. */
export type ChangePart = 'adjust' | BalancePart;
/** One number of a recipe that a change moves. */
export interface NumberMoved {
  step: 'adjust' | 'balance';
  /** Of `adjust` its field; of `balance` the part. */
  part: (typeof ADJUSTED)[number] | BalancePart;
  /** Which of the part. */
  at: number;
  was: number;
  now: number;
}

/** The usual size of numbers, and the finest step of each. */
const ADJUST = { scale: 20, fine: 1 };
const SHIFT = { scale: 4, fine: 0.5 };

/** The number sought: of which step and part it is. */
export interface Place extends Sought {
  step: 'adjust' | 'balance';
  part: NumberMoved['part'];
  at: number;
  fine: number;
}

/** The numbers of some parts. */
export const placesOf = (parts: readonly ChangePart[]): Place[] =>
  parts.flatMap((of): Place[] => {
    if (of === 'adjust')
      return ADJUSTED.map((part) => {
        const [least, most] = LIMITS[part];
        return { step: 'adjust', part, at: 0, ...ADJUST, least, most };
      });
    const [least, most] = LIMITS.shift;
    return Array.from({ length: BALANCE_LENGTHS[of] }, (_, at) => ({
      step: 'balance',
      part: of,
      at,
      ...SHIFT,
      least,
      most,
    }));
  });

/** Every number that can be moved. */
export const EVERYWHERE = placesOf(['adjust', 'curve', 'tones', 'hues']);

/** The recipe's steps with one of each kind that is moved, carried out; what was left out begins at nothing. */
export function openSteps(steps: readonly RecipeStep[]): RecipeStep[] {
  const usual = { ppi: 0, radius: 0 };
  const opened = steps.map((s): RecipeStep => {
    if (s.kind !== 'adjust' && s.kind !== 'balance') return s;
    return s.on ? s : { ...STEPS[s.kind].usual(usual), on: true };
  });
  for (const kind of ['adjust', 'balance'] as const) {
    if (opened.some((s) => s.kind === kind)) continue;
    const before = opened.findIndex((s) => s.kind === 'resample');
    opened.splice(Math.max(0, before), 0, { ...STEPS[kind].usual(usual), on: true });
  }
  return opened;
}

type Moving = StepOf<'adjust'> | StepOf<'balance'>;

const valueAt = (step: Moving, { part, at }: Pick<Place, 'part' | 'at'>): number => {
  const value = (step as unknown as Record<string, number | number[]>)[part]!;
  return Array.isArray(value) ? value[at]! : value;
};

function withValue(step: Moving, { part, at }: Place, value: number): Moving {
  const before = (step as unknown as Record<string, number | number[]>)[part]!;
  const now = Array.isArray(before) ? before.map((v, i) => (i === at ? value : v)) : value;
  return { ...step, [part]: now };
}

/** Steps, opened, with their numbers replaced. */
export const withNumbers = (
  steps: readonly RecipeStep[],
  places: readonly Place[],
  numbers: readonly number[],
): RecipeStep[] =>
  steps.map((s) => {
    if (s.kind !== 'adjust' && s.kind !== 'balance') return s;
    let step: Moving = s;
    places.forEach((place, k) => {
      if (place.step === s.kind) step = withValue(step, place, numbers[k]!);
    });
    return step;
  });

/** The number at a place of opened steps. */
export const numberOf = (steps: readonly RecipeStep[], place: Place): number =>
  valueAt(steps.find((s) => s.kind === place.step) as Moving, place);

/** Steps that do nothing are left out again. */
export function closedSteps(steps: readonly RecipeStep[]): RecipeStep[] {
  const still = (step: Moving) =>
    EVERYWHERE.every((p) => p.step !== step.kind || valueAt(step, p) === 0);
  return steps.map((s) =>
    (s.kind === 'adjust' || s.kind === 'balance') && still(s) ? { ...s, on: false } : s,
  );
}

/** The numbers by which one recipe's steps are another's, changed. */
export function numbersMoved(
  from: readonly RecipeStep[],
  to: readonly RecipeStep[],
): NumberMoved[] {
  const [before, after] = [openSteps(from), openSteps(to)];
  return EVERYWHERE.flatMap((place) => {
    const { step, part, at } = place;
    const [was, now] = [numberOf(before, place), numberOf(after, place)];
    return was === now ? [] : [{ step, part, at, was, now }];
  });
}

/** Whether two are of the same number. */
export const isSameNumber = (
  one: Pick<Place, 'step' | 'part' | 'at'>,
  other: Pick<Place, 'step' | 'part' | 'at'>,
): boolean => one.step === other.step && one.part === other.part && one.at === other.at;
