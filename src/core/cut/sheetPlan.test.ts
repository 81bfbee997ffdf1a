import { chance } from '../image/chance';
import {
  USUAL_RULES,
  cutPlan,
  cutsInHand,
  freed,
  gangLayout,
  isFault,
  locked,
  locksOf,
  planFault,
  sheetJob,
  sheetShares,
  withoutSheet,
} from '.';
import type { CutPlan, PlannedPiece, SheetLock, SheetPlanState } from '.';

const piece = (id: string, width: number, height: number, count: number): PlannedPiece => ({
  id,
  purpose: 'edition',
  title: id,
  size: '',
  workId: 1,
  sizeKey: 'isoA-A4',
  fileId: 1,
  sheetId: null,
  lineId: null,
  order: null,
  dueOn: null,
  width,
  height,
  count,
  mayTurn: true,
});

const state = (over: Partial<SheetPlanState> = {}): SheetPlanState => ({
  pieces: [piece('a', 210, 297, 5), piece('b', 300, 400, 3), piece('c', 130, 180, 6)],
  lots: null,
  rules: USUAL_RULES,
  begun: [],
  locks: [],
  stock: [
    { id: 'lot:1', kind: 'sheet', width: 610, height: 914, count: 4, price: 780 },
    { id: 'lot:2', kind: 'roll', width: 610, length: 6000, price: 4200 },
  ],
  plan: null,
  stopped: false,
  ...over,
});

/** The state with its plan, which is one of its job. */
function planned(of: SheetPlanState): SheetPlanState & { plan: CutPlan } {
  const plan = cutPlan(sheetJob(of));
  if (isFault(plan)) throw new Error(`${plan.what} ${plan.of}`);
  expect(planFault(sheetJob(of), plan)).toBeNull();
  return { ...of, plan };
}

it('pieces of one day come before those of the next, those without a day last', () => {
  const [a, b, c] = state().pieces as [PlannedPiece, PlannedPiece, PlannedPiece];
  const job = sheetJob(
    state({
      pieces: [
        { ...a, dueOn: '2026-12-04' },
        { ...b, dueOn: '2026-12-01T09:00:00.000Z' },
        { ...c, workId: null, sheetId: 7 },
      ],
    }),
  );
  expect(job.pieces.map((p) => p.due)).toEqual([1, 0, undefined]);
  expect(job.pieces.map((p) => p.group)).toEqual(['work 1', 'work 1', 'sheet 7']);
});

it('a piece that is locked in its place stays there whatever else is planned', () => {
  const before = planned(state());
  const sheet = before.plan.sheets.length - 1;
  const [place] = before.plan.sheets[sheet]!.places as [CutPlan['sheets'][0]['places'][0]];
  const { piece: id, copy, x, y, turned } = place;
  const held = locked(before, { piece: id, copy, sheet }, { x, y, turned });
  // Its sheet is now the first of the plan, which is still a plan of the job.
  expect(planFault(sheetJob(held), held.plan!)).toBeNull();
  expect(held.plan!.sheets[0]!.places).toContainEqual(place);
  const more = [...held.pieces, piece('d', 100, 100, 4)];
  const again = planned({ ...held, pieces: more, plan: null });
  expect(again.plan.sheets[0]!.places).toContainEqual(place);
  expect(locksOf(freed(again, id, copy))).toEqual({ begun: [], locks: [] });
});

it('a piece is moved to another sheet, and the rest is planned around it', () => {
  const rules = { ...USUAL_RULES, margin: { left: 5, right: 5, top: 5, bottom: 5 } };
  const only = state({
    rules,
    pieces: [piece('a', 280, 430, 6)],
    stock: [{ id: 'lot:1', kind: 'sheet', width: 610, height: 914, count: 4, price: 780 }],
  });
  const before = planned(only);
  expect(before.plan.sheets).toHaveLength(2);
  const of = before.plan.sheets[0]!.places[0]!;
  const { piece: id, copy } = of;
  const moved = locked(before, { piece: id, copy, sheet: 1 }, null);
  const after = planned({ ...moved, plan: null });
  const on = after.plan.sheets[0]!.places.map((p) => `${p.copy} ${p.piece}`);
  expect(on).toContain(`${copy} ${id}`);
  // Locks of sheets that are let go one after the other leave those of the others as they are.
  const second = locked(
    after,
    { piece: 'a', copy: after.plan.sheets[1]!.places[0]!.copy, sheet: 1 },
    null,
  );
  expect(second.begun).toHaveLength(2);
  const left = freed(second, id, copy);
  expect(left.begun).toHaveLength(1);
  expect(left.locks).toEqual([expect.objectContaining({ sheet: 0 })]);
  expect(planFault(sheetJob(left), left.plan!)).toBeNull();
});

it('on a roll a piece is laid across, though it then needs more of it', () => {
  const before = planned(
    state({
      pieces: [piece('a', 300, 400, 4), piece('b', 300, 400, 1)],
      stock: [{ id: 'lot:2', kind: 'roll', width: 610, length: 6000, price: 4200 }],
    }),
  );
  for (const turned of [true, false]) {
    const of = { piece: 'b', copy: 0, sheet: 0 };
    const next = locked(before, of, { turned });
    const after = planned({ ...next, plan: null });
    const place = after.plan.sheets[0]!.places.find((p) => p.piece === 'b')!;
    expect(place.turned).toBe(turned);
    expect(after.plan.unplaced).toEqual([]);
    // No longer than its last piece needs, whatever was begun.
    const { places, length } = after.plan.sheets[0]!;
    expect(length).toBeCloseTo(Math.max(...places.map((p) => p.y + p.height)) + 15, 4);
  }
});

it('of a sheet that is printed the rest of the plan stays as it is', () => {
  for (let seed = 1; seed <= 12; seed += 1) {
    const r = chance(seed);
    let of: SheetPlanState = planned(
      state({
        pieces: ['a', 'b', 'c'].map((id) =>
          piece(
            id,
            90 + Math.floor(r() * 250),
            90 + Math.floor(r() * 250),
            1 + Math.floor(r() * 6),
          ),
        ),
      }),
    );
    while (of.plan!.sheets.length > 0) {
      const gone = Math.floor(r() * of.plan!.sheets.length);
      const sizes = of.plan!.sheets.filter((_, i) => i !== gone);
      of = withoutSheet(of, gone);
      const said = (s: CutPlan['sheets'][0]) => s.places.map((p) => [p.x, p.y, p.width]);
      expect(of.plan!.sheets.map(said)).toEqual(sizes.map(said));
      if (of.pieces.length > 0) expect(planFault(sheetJob(of), of.plan!)).toBeNull();
    }
    expect(
      of.pieces.filter((p) => !of.plan!.unplaced.some((u) => u.piece === p.id)),
    ).toEqual([]);
  }
});

it('the paper of a sheet is shared out whole', () => {
  const keeps = { ...USUAL_RULES, keepFrom: { width: 100, height: 100 } };
  const { plan } = planned(state({ rules: keeps }));
  for (const sheet of plan.sheets) {
    const { places, rests } = sheetShares(sheet);
    const all = [...places, ...rests].reduce((a, b) => a + b, 0);
    expect(all).toBeCloseTo(1, 9);
    sheet.rests.forEach((rest, i) => expect(rests[i]! > 0).toBe(rest.kept));
  }
});

it('cuts are told from the edges of the part in hand', () => {
  const { plan } = planned(state());
  for (const sheet of plan.sheets) {
    const told = cutsInHand(sheet);
    expect(told).toHaveLength(sheet.cuts.length);
    expect(told[0]!.part).toEqual({ x: 0, y: 0, width: sheet.width, height: sheet.length });
    told.forEach(({ down, part, from }, i) => {
      const cut = sheet.cuts[i]!;
      expect(down ? cut.x1 - part.x : cut.y1 - part.y).toBeCloseTo(from, 9);
      expect(from).toBeGreaterThan(0);
      expect(from).toBeLessThan(down ? part.width : part.height);
    });
  }
});

it('marks and words on the file of a sheet lie outside of every piece', () => {
  const { plan, rules } = planned(state());
  const ppi = 150;
  for (const sheet of plan.sheets) {
    const sizes = sheet.places.map(({ width, height }) => ({
      width: Math.floor((width / 25.4) * ppi),
      height: Math.floor((height / 25.4) * ppi),
    }));
    const laid = gangLayout(sheet, rules, ppi, sizes);
    expect(laid.marks.length).toBeGreaterThan(0);
    expect(laid.words.length).toBeGreaterThan(0);
    const boxes = laid.places.map((p, i) => ({ ...p, ...sizes[i]! }));
    const things = [
      ...laid.marks,
      ...laid.words.map((w) => ({ left: w.left, top: w.top, width: w.wide, height: 5 })),
    ];
    for (const t of things) {
      expect(t.left).toBeGreaterThanOrEqual(0);
      expect(t.left + t.width).toBeLessThanOrEqual(laid.width);
      expect(t.top + t.height).toBeLessThanOrEqual(laid.height);
      for (const b of boxes)
        expect(
          t.left >= b.left + b.width ||
            t.left + t.width <= b.left ||
            t.top >= b.top + b.height ||
            t.top + t.height <= b.top,
        ).toBe(true);
    }
    expect(
      gangLayout(sheet, { ...rules, marks: false, labels: false }, ppi, sizes),
    ).toMatchObject({ marks: [], words: [] });
  }
});

it('a plan that is none of its job is found out', () => {
  const of = planned(state());
  const job = sheetJob(of);
  const [first, ...more] = of.plan.sheets as [CutPlan['sheets'][0]];
  const changed = (sheet: Partial<CutPlan['sheets'][0]>) =>
    planFault(job, { ...of.plan, sheets: [{ ...first, ...sheet }, ...more] });
  const [place, ...others] = first.places as [CutPlan['sheets'][0]['places'][0]];
  expect(changed({ stock: 'lot:9' })).toBe('noStock');
  expect(changed({ places: [{ ...place, x: 0 }, ...others] })).toBe('margin');
  expect(changed({ places: [{ ...place, width: 1 }, ...others] })).toBe('otherSize');
  expect(changed({ places: [{ ...place, piece: 'z' }, ...others] })).toBe('otherPiece');
  expect(changed({ places: [place, place, ...others] })).toBe('near');
  expect(changed({ cuts: first.cuts.slice(1) })).not.toBeNull();
  expect(changed({ rests: first.rests.slice(1) })).toBe('unnamedPart');
  expect(planFault({ ...job, stock: [] }, of.plan)).toBe('noStock');
  const sheets = job.stock.map((s) =>
    s.kind === 'roll' ? { ...s, length: 10 } : { ...s, count: 0 },
  );
  expect(planFault({ ...job, stock: sheets }, of.plan)).toBe('notEnough');
  expect(planFault(job, { ...of.plan, sheets: more })).toBe('missing');
  const { width, length } = first;
  const turned = { width: length, height: width };
  expect(planFault({ ...job, largestSheet: turned }, of.plan)).toBeNull();
  const small = { width, height: length - 1 };
  expect(planFault({ ...job, largestSheet: small }, of.plan)).toBe('tooLarge');
});

it('a plan in which a piece lies elsewhere than it is held is found out', () => {
  const of = planned(state());
  const job = sheetJob(of);
  const { piece, copy, x, y, turned } = of.plan.sheets[0]!.places[0]!;
  const begun = [{ stock: of.plan.sheets[0]!.stock }, { stock: 'other' }];
  const held = (at: Partial<SheetLock>) =>
    planFault({ ...job, begun, holds: [{ piece, copy, sheet: 0, ...at }] }, of.plan);
  expect(held({})).toBeNull();
  expect(held({ x, y, turned })).toBeNull();
  expect(held({ sheet: 1 })).toBe('heldElsewhere');
  expect(held({ x: x + 1, y })).toBe('heldElsewhere');
  expect(held({ turned: !turned })).toBe('heldElsewhere');
});
