import { alternatives } from './alternatives';
import { cutFault } from './faults';
import { readJob } from './readJob';
import type { CutFault, CutJob, CutPlan, CutProgress } from './types';

/**
 * Plans which pieces are cut from which sheets or rolls, with straight cuts from edge to edge:
 * the fewest new sheets (or the shortest length of roll), then the least paper, then the
 * largest left-overs, then the fewest cuts, then pieces of one group together. A few pieces are
 * planned exactly; more by a search of a fixed number of steps, the same for the same job.
 * Where sheets and rolls could both be used, the cheaper plan is taken, else the one of less paper.
 *
 * A generator: each step says how far it is, so that it can be shown and stopped.
 * Lengths are millimetres, money minor units.
 */
export function* planCuts(job: CutJob): Generator<CutProgress, CutPlan | CutFault, void> {
  const fault = cutFault(job);
  if (fault) return fault;
  return yield* alternatives(readJob(job));
}

/**
 * The same in one go.
 * @example cutPlan({ pieces: [{ id: 'a', width: 210, height: 297, count: 4, mayTurn: true }], stock: [{ id: 's', kind: 'sheet', width: 420, height: 594, count: 2 }], margin: { left: 0, right: 0, top: 0, bottom: 0 }, gutter: 0, trim: 0, school: 'printThenCut' }).sheets.length // 1
 */
export function cutPlan(job: CutJob): CutPlan | CutFault {
  const plan = planCuts(job);
  for (;;) {
    const step = plan.next();
    if (step.done) return step.value;
  }
}

/** @example isFault({ what: 'noPieces', of: '' }) // true */
export const isFault = (answer: CutPlan | CutFault): answer is CutFault => 'what' in answer;
