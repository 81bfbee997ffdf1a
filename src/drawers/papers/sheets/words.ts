import type { CutPlan, SheetPlanState } from '@/core/cut';

export const PLAN_GONE = 'This plan of sheets is not there.';
export const PLAN_MOVED =
  'This plan was changed elsewhere, or a sheet of it was printed. It is shown as it is now: do it again.';

/** What something of a plan is called: a piece by its work, a lot by its number. */
export function pieceName({ pieces }: Pick<SheetPlanState, 'pieces'>, id: string): string {
  const piece = pieces.find((p) => p.id === id);
  return piece ? `${piece.title}, ${piece.size}` : id;
}

/** How many pieces of what, for the head. */
export function wantedWords({ pieces }: Pick<SheetPlanState, 'pieces'>): string {
  const count = (purpose: string) =>
    pieces.filter((p) => p.purpose === purpose).reduce((n, p) => n + p.count, 0);
  const orders = new Set(pieces.flatMap((p) => p.order ?? [])).size;
  const n = (count: number, one: string, many: string) =>
    count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];
  const of = [
    ...n(orders, 'order', 'orders'),
    ...n(count('edition'), 'for an edition', 'for editions'),
    ...n(count('proof'), 'proof', 'proofs'),
    ...n(count('sheet'), 'sheet to be judged', 'sheets to be judged'),
    ...n(count('card'), 'card or test', 'cards and tests'),
  ];
  const all = pieces.reduce((sum, p) => sum + p.count, 0);
  const works = new Set(pieces.flatMap((p) => p.workId ?? [])).size;
  if (all === 0) return 'Nothing is on the plan yet';
  return `${of.join(', ')}: ${n(all, 'piece', 'pieces')[0]} of ${n(works, 'work', 'works')[0] ?? 'no work'}`;
}

/** What a plan comes to, and whether less would do. */
export function planWords(
  plan: CutPlan,
  { stopped, locks }: Pick<SheetPlanState, 'stopped' | 'locks'>,
  length: (mm: number) => string,
  rolls: ReadonlySet<string>,
): string {
  const run = plan.sheets
    .filter((s) => rolls.has(s.stock))
    .reduce((a, s) => a + s.length, 0);
  const sheets = plan.sheets.filter((s) => !rolls.has(s.stock)).length;
  const pieces = plan.sheets.reduce((n, s) => n + s.places.length, 0);
  const from = [
    ...(sheets > 0 ? [`${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`] : []),
    ...(run > 0 ? [`${length(run)} of roll`] : []),
  ].join(' and ');
  const said = `${pieces} ${pieces === 1 ? 'piece' : 'pieces'} from ${from}.`;
  if (stopped) return `${said} The planning was stopped: it may do with less.`;
  if (plan.bound === null) return said;
  const held = locks.length > 0 ? ' with what is locked' : '';
  if (plan.boundOf === 'sheets')
    return plan.proved
      ? `${said} Fewer is not possible${held}.`
      : `${said} Fewer than ${plan.bound} is not possible.`;
  return `${said} Less than ${length(plan.bound)} is not possible.`;
}

export const SHEET_GONE = 'This sheet is not on the plan any more. Open the plan anew.';

/** What the rules of the store room refuse. */
export const SHEET_WORDS: Record<string, string> = {
  gone: SHEET_GONE,
  noLot: 'The lot of this sheet is not in the store room any more. Plan it anew.',
  lotShort:
    'There is not so much left of this lot: something else took of it meanwhile. Plan it anew.',
  numberedAlready:
    'A print of this sheet has its number already: it was printed. Note it as spoiled at Edition instead.',
  leftOverUsed: 'A left-over of this sheet was used already: it cannot be put back.',
};

/** How good a plan is that is not ready yet. */
export function bestWords({ sheets, unplaced }: Pick<CutPlan, 'sheets' | 'unplaced'>) {
  const on = sheets.length === 1 ? 'one sheet' : `${sheets.length} sheets`;
  return unplaced.length === 0 ? on : `${on}, with ${unplaced.length} that lie nowhere`;
}
