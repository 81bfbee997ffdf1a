import { CUT_SCHOOLS, MOST_PIECES } from '@/core/cut';
import type { CutPlan, SheetLock, SheetPlanState, SheetRules } from '@/core/cut';
import { choice, defineForm, hinted, json, length, optional } from '@/core/input';
import { rowNumber, text, whole } from '@/core/input';
import type { InputContext, Typed } from '@/core/input';
import { mm } from '@/core/units';
import { lockSchema, planSchema } from './planSchema';

const planId = rowNumber('Plan');
/** The state of the plan that the page shows: what was changed elsewhere since is not written over. */
const basedOn = rowNumber('State');

/** A new plan of sheets of a paper. */
export const beginForm = defineForm({ paperId: rowNumber('Paper') });

const YES_NO = ['yes', 'no'] as const;

const edge = (title: string) => length(title, { min: 0, max: 500 });
const limit = (title: string) => optional(length(title, { above: 0, max: 20_000 }));

const RULES = {
  school: choice('School', CUT_SCHOOLS),
  left: edge('Left'),
  right: edge('Right'),
  top: edge('Top'),
  bottom: edge('Bottom'),
  gutter: hinted(edge('Gutter'), 'between two pieces'),
  trim: hinted(edge('Trim'), 'falls away around each piece'),
  longestCut: hinted(limit('Longest cut'), 'of the trimmer; empty: any'),
  trimmerWidth: limit('Largest sheet'),
  trimmerHeight: limit('by'),
  keepWidth: hinted(limit('Kept from'), 'left-overs of this size are stock'),
  keepHeight: limit('by'),
  dueFirst: choice('Due orders first', YES_NO),
  marks: choice('Cut marks', YES_NO),
  labels: choice('Words beside', YES_NO),
};

/** How sheets are cut. */
export const rulesForm = defineForm({ ...RULES, planId, basedOn });

const pair = (w: number | null, h: number | null) =>
  w === null || h === null ? null : { width: w, height: h };

type RulesValue = Extract<ReturnType<typeof rulesForm.read>, { ok: true }>['value'];

/** What was typed, as rules; a pair of which one is missing is none. */
export const rulesOf = (v: RulesValue): SheetRules => ({
  school: v.school,
  margin: { left: v.left, right: v.right, top: v.top, bottom: v.bottom },
  gutter: v.gutter,
  trim: v.trim,
  longestCut: v.longestCut,
  largestSheet: pair(v.trimmerWidth, v.trimmerHeight),
  keepFrom: pair(v.keepWidth, v.keepHeight),
  dueFirst: v.dueFirst === 'yes',
  marks: v.marks === 'yes',
  labels: v.labels === 'yes',
});

const length_ = (v: number | null | undefined) => (v == null ? null : mm(v));
const yes = (on: boolean): 'yes' | 'no' => (on ? 'yes' : 'no');

/** Rules as the fields of the form have them. */
const rulesValues = (r: SheetRules) => ({
  school: r.school,
  left: mm(r.margin.left),
  right: mm(r.margin.right),
  top: mm(r.margin.top),
  bottom: mm(r.margin.bottom),
  gutter: mm(r.gutter),
  trim: mm(r.trim),
  longestCut: length_(r.longestCut),
  trimmerWidth: length_(r.largestSheet?.width),
  trimmerHeight: length_(r.largestSheet?.height),
  keepWidth: length_(r.keepFrom?.width),
  keepHeight: length_(r.keepFrom?.height),
  dueFirst: yes(r.dueFirst),
  marks: yes(r.marks),
  labels: yes(r.labels),
});

/** Rules as they stand in the fields of the form; which plan they are of is said beside them. */
export function rulesTyped(rules: SheetRules, context: InputContext): Typed {
  const typed = rulesForm.write(rulesValues(rules), context);
  return Object.fromEntries(Object.keys(RULES).map((name) => [name, typed[name] ?? '']));
}

/** A piece that is wanted: what of, how many, whether it may lie across. */
export interface WantedPiece {
  id: string;
  count: number;
  mayTurn: boolean;
}

/** All pieces of a plan, and the lots that it is cut from. */
export const piecesForm = defineForm({
  planId,
  basedOn,
  pieces: json<WantedPiece[]>('Pieces', {
    type: 'array',
    maxItems: 300,
    items: {
      type: 'object',
      additionalProperties: false,
      required: ['id', 'count', 'mayTurn'],
      properties: {
        id: { type: 'string', pattern: '^(order|edition|proof|card|sheet):[0-9]{1,12}$' },
        count: { type: 'integer', minimum: 1, maximum: MOST_PIECES },
        mayTurn: { type: 'boolean' },
      },
    },
  }),
  lots: json<{ only: number[] | null }>('Lots', {
    type: 'object',
    additionalProperties: false,
    required: ['only'],
    properties: {
      only: {
        anyOf: [
          { type: 'null' },
          { type: 'array', maxItems: 200, items: { type: 'integer' } },
        ],
      },
    },
  }),
});

/** What the planning found, and which pieces stay where they are. */
export interface FoundPlan {
  begun: SheetPlanState['begun'];
  locks: SheetLock[];
  plan: CutPlan | null;
  stopped: boolean;
}

export const foundForm = defineForm({
  planId,
  basedOn,
  found: json<FoundPlan>(
    'Plan',
    {
      type: 'object',
      additionalProperties: false,
      required: ['begun', 'locks', 'plan', 'stopped'],
      properties: {
        begun: {
          type: 'array',
          maxItems: 1000,
          items: {
            type: 'object',
            additionalProperties: false,
            required: ['stock'],
            properties: { stock: { type: 'string' }, length: { type: 'number' } },
          },
        },
        locks: { type: 'array', maxItems: MOST_PIECES, items: lockSchema },
        plan: { anyOf: [{ type: 'null' }, planSchema] },
        stopped: { type: 'boolean' },
      },
    },
    2_000_000,
  ),
});

const index = whole('Sheet', { min: 0, max: 1000 });

/** One sheet of a plan: to be written as a file, or handed over. */
export const writeForm = defineForm({ planId, basedOn, index });
export const handForm = defineForm({ planId, basedOn, index, routeId: rowNumber('Route') });

/** What became of a sheet. */
export const bookForm = defineForm({
  planId,
  basedOn,
  index,
  came: choice('It came out', ['well', 'spoiled'] as const),
  reason: text('Why', { min: 0, max: 120 }),
});

export const undoForm = defineForm({
  sheetId: rowNumber('Sheet'),
  reason: text('Why', { max: 120 }),
});
