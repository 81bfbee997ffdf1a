import { layOutSheets } from './layOut';
import type { Laid } from './layOut';
import { packOnRolls } from './onRolls';
import { packOnSheets } from './onSheets';
import type { OnStock, Step } from './onSheets';
import { comparedRanks } from './packSheets';
import { readJob } from './readJob';
import type { ReadJob } from './readJob';
import { piecesIn } from './region';
import { toldPlan } from './toldPlan';
import { UNITS } from './whole';
import type { CutFault, CutJob, CutPlan, CutProgress } from './types';

/** What was packed, as a plan: places, cuts, what it costs. */
function asPlan(read: ReadJob, on: OnStock, boundOf: CutPlan['boundOf']): CutPlan {
  const { job, copies, impossible } = read;
  const sheets = layOutSheets(job, on.laid, copies);
  const left = on.left.map((i) => {
    const { piece, copy } = copies[i]!;
    return { piece: piece.id, copy, why: 'notEnough' as const };
  });
  const { bound } = on;
  return toldPlan(job, {
    sheets,
    unplaced: [...impossible, ...left],
    wasteShare: 0,
    yieldShare: 0,
    cost: null,
    bound: bound !== null && boundOf === 'rollLength' ? Math.floor(bound) / UNITS : bound,
    boundOf,
    proved: on.proved,
  });
}

/** How good a plan is, part by part: smaller is better. */
const rankOf = (p: CutPlan, byCost: boolean): number[] => [
  p.unplaced.length,
  ...(byCost ? [p.cost!] : []),
  p.sheets.reduce((a, s) => a + s.width * s.length, 0) * p.wasteShare,
  p.sheets.reduce((n, s) => n + s.cuts.length, 0),
];

/** The best of some plans; null for none. */
function bestOf(plans: readonly CutPlan[]): CutPlan | null {
  const byCost = plans.every((p) => p.cost !== null);
  return plans.reduce<CutPlan | null>(
    (a, p) =>
      a === null || comparedRanks(rankOf(p, byCost), rankOf(a, byCost)) < 0 ? p : a,
    null,
  );
}

/** A job whose due pieces are held on the fewest sheets that they need by themselves. */
function* dueGathered(read: ReadJob): Generator<Step, ReadJob, void> {
  const { job, copies, possible } = read;
  const urgent = possible.filter((i) => copies[i]!.piece.due !== undefined);
  const begins = (job.begun?.length ?? 0) > 0;
  if (!job.dueFirst || begins || urgent.length === 0 || urgent.length === possible.length)
    return read;
  const alone = yield* packOnSheets(read, urgent);
  const laid = alone?.laid ?? [];
  return readJob({
    ...job,
    begun: laid.map((l) => ({ stock: l.usable.stock.id })),
    holds: laid.flatMap((l, sheet) =>
      piecesIn(l.region).map((i) => ({
        piece: copies[i]!.piece.id,
        copy: copies[i]!.copy,
        sheet,
      })),
    ),
  });
}

/** A piece that lies on none of the sheets that a plan begins with, though it is held on one; null for none. */
const notHeld = ({ holds = [], begun = [] }: CutJob, { sheets }: CutPlan): string | null =>
  holds.find(
    (h) =>
      !sheets
        .slice(0, begun.length)
        .some(
          (s) =>
            s.stock === begun[h.sheet]?.stock &&
            s.places.some((p) => p.piece === h.piece && p.copy === h.copy),
        ),
  )?.piece ?? null;

/** Sheets alone, rolls alone, or left-overs and sheets and the rest on rolls: the best of them. */
export function* alternatives(
  read: ReadJob,
): Generator<CutProgress, CutPlan | CutFault, void> {
  const { possible, sheets, rolls, job } = read;
  const plans: CutPlan[] = [];
  let shown: { laid: Laid[] | null; plan: CutPlan | null } = { laid: null, plan: null };
  const parts = (sheets.length > 0 ? 1 : 0) + (rolls.length > 0 ? 1 : 0);
  let part = 0;
  const without = (laid: readonly Laid[]) => {
    const lying = new Set(laid.flatMap((l) => piecesIn(l.region)));
    return possible.filter((i) => !lying.has(i));
  };

  /** `before`: what lies already; `last`: what lies nowhere then lies nowhere in the end. */
  function* said<T>(
    packing: Generator<Step, T, void>,
    boundOf: CutPlan['boundOf'],
    { before = [], last = false }: { before?: readonly Laid[]; last?: boolean } = {},
  ): Generator<CutProgress, T, void> {
    for (;;) {
      const step = packing.next();
      if (step.done) return step.value;
      const { laid, share } = step.value;
      if (laid !== null && laid !== shown.laid) {
        const all = [...before, ...laid];
        const left = without(all);
        const on = { laid: all, left, bound: null, proved: false };
        const tells = left.length === 0 || (last && all.length > 0);
        shown = { laid, plan: tells ? asPlan(read, on, boundOf) : shown.plan };
      }
      const found = shown.plan === null ? plans : [...plans, shown.plan];
      const best = bestOf(found.filter((p) => p.sheets.length > 0));
      yield { share: (part + share) / parts, best };
    }
  }

  const oneRoll = rolls.length === 1;
  const held = (job.begun?.length ?? 0) > 0;
  if (sheets.length > 0 || held) {
    const gathered = yield* said(dueGathered(read), 'sheets');
    const last = rolls.length === 0;
    const on = yield* said(packOnSheets(gathered, possible), 'sheets', { last });
    if (on === null) return { what: 'hold', of: '' };
    plans.push(asPlan(read, on, 'sheets'));
    part += 1;
    if (on.left.length > 0 && rolls.length > 0) {
      const after = { before: on.laid, last: oneRoll };
      const more = yield* said(packOnRolls(read, on.left, on.laid), 'rollLength', after);
      const both = { laid: [...on.laid, ...more.laid], left: more.left };
      plans.push(asPlan(read, { ...both, bound: null, proved: false }, 'sheets'));
    }
  }
  if (rolls.length > 0 && !held) {
    const first = yield* said(packOnSheets(read, possible, true), 'sheets');
    const after = { before: first!.laid, last: oneRoll };
    const on = yield* said(packOnRolls(read, first!.left), 'rollLength', after);
    const laid = [...first!.laid, ...on.laid];
    const alone = first!.laid.length === 0;
    plans.push(
      asPlan(
        read,
        { ...on, laid, bound: alone ? on.bound : null, proved: alone && on.proved },
        'rollLength',
      ),
    );
  }
  if (plans.length === 0)
    return asPlan(read, { laid: [], left: possible, bound: 0, proved: true }, 'sheets');
  const best = bestOf(plans)!;
  const astray = notHeld(job, best);
  return astray === null ? best : { what: 'hold', of: astray };
}
