import { minor } from '../../units';
import type { Minor } from '../../units';

/** Money in minor units. */
export interface HireInput {
  /** What a capture costs when it is hired out, for each work. */
  feePerWork: Minor;
  /** Scanner, lights, stand: paid once. */
  equipment: Minor;
  hoursPerWork: number;
  hourlyRate: Minor;
  /** Works to be captured in view. */
  works: number;
}

export interface HireAnswer {
  hired: number;
  own: number;
  /** Own cost of one more work, without the equipment. */
  ownPerWork: number;
  /** Works from which doing it oneself is cheaper; null when it never is. */
  breakEven: number | null;
}

/**
 * Fee per work against own equipment and time: break-even = ceil(equipment / (fee - own time)).
 * @example hireOrOwn({ feePerWork: minor(6000), equipment: minor(50_000), hoursPerWork: 1, hourlyRate: minor(2000), works: 10 }) // { hired: 60_000, own: 70_000, breakEven: 13 }
 */
export function hireOrOwn(input: HireInput): HireAnswer {
  const ownPerWork = input.hoursPerWork * input.hourlyRate;
  const saved = input.feePerWork - ownPerWork;
  return {
    hired: input.feePerWork * input.works,
    own: input.equipment + ownPerWork * input.works,
    ownPerWork,
    breakEven: saved > 0 ? Math.ceil(input.equipment / saved) : null,
  };
}

/**
 * What the capture of one work costs, as far as it was said: the fee where it is hired out,
 * else own time and a share of the equipment. Null where nothing was said.
 */
export function ownCaptureCost(input: HireInput): Minor | null {
  if (input.feePerWork > 0) return input.feePerWork;
  const own =
    input.hoursPerWork * input.hourlyRate + input.equipment / Math.max(1, input.works);
  return own > 0 ? minor(own) : null;
}
