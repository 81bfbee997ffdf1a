import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import {
  SIZE,
  idle,
  inProcess,
  startRealWorkers,
  takePicture,
} from '../../../../e2e/support/inProcess';
import type { InProcess } from '../../../../e2e/support/inProcess';
import { samplesBy } from '../../../../e2e/support/master';
import { roll, sheets } from '../../../../e2e/support/paperLots';
import { printer } from '../../../../e2e/support/printers';
import { GET as getDocument } from '@/app/api/sheet-plans/[id]/route';
import { cutPlan, isFault, locked, sheetJob } from '@/core/cut';
import type { SheetPlanState } from '@/core/cut';
import { plainRecipe, printPlan } from '@/core/prepare';
import { fitToSheet, plainLayout } from '@/core/size';
import { minor, mm, size } from '@/core/units';
import {
  addPrinter,
  addRoute,
  editRow,
  getSheetFile,
  getSheetPlan,
  listPrinters,
  lotsOf,
  paperOfEntries,
  readEntries,
  receiveLot,
  takeFromLot,
  takeOrder,
  waitingPieces,
} from '@/data';
import { storePaths } from '@/engine';
import { writePrintFile } from '@/studio';
import { assign, spoilPiece } from '@/stations/edition/actions';
import { beginSheets, keepFound, keepPieces, keepRules } from './actions';
import {
  bookPrinted,
  handSheetOver,
  undoPrinted,
  writeSheetOfPrints,
} from './sheetActions';
import { loadSheets } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
const [WIDTH, HEIGHT] = [300, 400];
const at = '2026-11-05T10:00:00.000Z';
const never = new AbortController().signal;
const db = () => here.open.db.read;

/** A print file of the work's size; its number. */
async function printFile(masterId: number, ppi: number): Promise<number> {
  const fit = fitToSheet(size(300, 400), WIDTH / HEIGHT, plainLayout('within', mm(20)));
  const plan = printPlan({ width: WIDTH, height: HEIGHT }, fit, ppi);
  const order = { workId: here.workId, title: 'Slack Water', sizeKey: SIZE, at, masterId };
  const named = { ...order, sizeLabel: '30 × 40 cm', plan, recipe: plainRecipe(ppi, 0.8) };
  return writePrintFile(here.open, named, () => undefined, never);
}

beforeAll(async () => {
  here = await inProcess({ orders: 0, numbered: 1 });
  startRealWorkers();
  const hills = (x: number, y: number, c: number) =>
    20000 + 12000 * Math.sin(x / 9 + c) + 9000 * Math.cos(y / 13);
  const masterId = await takePicture(here, samplesBy(WIDTH, HEIGHT, hills));
  await printFile(masterId, 72);
  await here.open.db.write(async (tx) => {
    const wants = { leastPpi: 0, target: 'srgb', press: '', bits: 8, format: 'tiff' };
    const own = { name: 'Own printer', kind: 'ownPrinter', folder: '', inkSet: '' };
    await addRoute(tx, { ...own, wants, at } as never);
    await receiveLot(tx, sheets(1, 6, at, 610, 914));
    await receiveLot(tx, roll(1, 610, 5000, at));
  });
}, 60_000);
afterAll(() => here.end());

const view = (id: number) => loadSheets(String(id), {});
const onPlan = async (id: number) => {
  const plan = (await getSheetPlan(db(), id))!;
  return { planId: String(id), basedOn: String(plan.stateId), state: plan.state };
};
/** Changes what is on the plan. */
async function put(id: number, pieces: object[], only: number[] | null = null) {
  const { state: _, ...of } = await onPlan(id);
  const lots = JSON.stringify({ only });
  return keepPieces({ ...of, pieces: JSON.stringify(pieces), lots });
}
const foundOf = ({ begun, locks, plan, stopped }: SheetPlanState) =>
  JSON.stringify({ begun, locks, plan, stopped });
/** Plans as the page does, and keeps what was found. */
async function planned(id: number, change = (s: SheetPlanState) => s) {
  const { state, ...of } = await onPlan(id);
  const next = change(state);
  const plan = cutPlan(sheetJob(next));
  if (isFault(plan)) throw new Error(plan.what);
  return keepFound({ ...of, found: foundOf({ ...next, plan }) });
}
const begin = async () => {
  const answer = await beginSheets({ paperId: '1' });
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
};
const EDITION = { id: 'edition:1', count: 2, mayTurn: true };
const CARD = { id: 'card:1', count: 1, mayTurn: false };

describe('what is on a plan', () => {
  it('begins with what open orders wait for on its paper, and only that', async () => {
    const line = {
      kind: 'openPrint',
      workId: here.workId,
      sizeKey: 'isoA-A4',
      paperId: 1,
      quantity: 2,
      price: minor(4000),
      currency: 'EUR',
      editionId: null,
      series: null,
      impression: null,
      name: null,
      mass: null,
      thickness: null,
    } as const;
    const address = {
      name: 'Tamsin Ashgrove',
      street: 'Lane 3',
      town: 'Weir',
      country: 'DE',
    };
    const order = {
      customer: address,
      channel: 'own shop',
      wish: '',
      note: '',
      extras: [],
    };
    await here.open.db.write(async (tx) => {
      for (const dueOn of ['2026-12-09', '2026-12-02'])
        await takeOrder(tx, { ...order, placedAt: at, dueOn }, line);
    });
    const { state } = await onPlan(await begin());
    expect(state.pieces).toMatchObject([
      { purpose: 'order', order: '0402', dueOn: '2026-12-02', count: 2, fileId: null },
      { purpose: 'order', order: '0401', dueOn: '2026-12-09', width: 210, height: 297 },
    ]);
    expect(sheetJob(state).pieces.map((p) => p.due)).toEqual([0, 1]);
    // What is printed from one plan is not waited for on another.
    const [one, other] = [await begin(), await begin()];
    await planned(one);
    expect((await view(other)).notWanted).toEqual([]);
    const { planId, basedOn } = await onPlan(one);
    await bookPrinted({ planId, basedOn, index: '0', came: 'well', reason: '' });
    expect((await view(other)).notWanted).toHaveLength(2);
    expect((await onPlan(await begin())).state.pieces).toEqual([]);
    await undoPrinted({ sheetId: '1', reason: 'not printed' });
    expect((await view(other)).notWanted).toEqual([]);
  });

  it('is refused in words where there is no such thing, or too much of it', async () => {
    const id = await begin();
    expect(await put(id, [{ ...EDITION, id: 'edition:99' }])).toMatchObject({
      ok: false,
      message: expect.stringContaining('is not there'),
    });
    expect(await put(id, [{ ...EDITION, count: 1001 }])).toMatchObject({ ok: false });
    expect(
      await put(id, [
        { ...EDITION, count: 999 },
        { ...CARD, count: 900 },
      ]),
    ).toMatchObject({
      ok: false,
      message: expect.stringContaining('Plan them in parts'),
    });
    const { state: _, ...of } = await onPlan(id);
    const rules = (await view(id)).rules;
    expect(await keepRules({ ...rules, ...of, trimmerWidth: '60 cm' })).toMatchObject({
      ok: false,
      fields: { trimmerHeight: expect.stringContaining('both sides') },
    });
    expect(
      await keepRules({ ...rules, ...of, top: '49 cm', bottom: '49 cm' }),
    ).toMatchObject({
      ok: false,
      message: expect.stringContaining('leave nothing of it'),
    });
    // Nothing of it was kept.
    expect((await onPlan(id)).state.pieces).toHaveLength(2);
  });

  it('rules are kept as they were typed, and it is planned anew by them', async () => {
    const id = await begin();
    await planned(id);
    const { state: _, ...of } = await onPlan(id);
    const { rules } = await view(id);
    expect(rules).toMatchObject({ gutter: '8 mm', longestCut: '1200 mm', marks: 'yes' });
    const typed = { ...rules, gutter: '1 cm', longestCut: '', dueFirst: 'yes' };
    expect(await keepRules({ ...of, ...typed })).toMatchObject({ ok: true });
    const { state } = await onPlan(id);
    expect(state).toMatchObject({ plan: null, rules: { gutter: 10, longestCut: null } });
    expect((await view(id)).rules).toMatchObject({ gutter: '10 mm', dueFirst: 'yes' });
  });

  it('what two pages change at once is not written over', async () => {
    const id = await begin();
    const { state: _, ...of } = await onPlan(id);
    const lots = JSON.stringify({ only: null });
    const both = await Promise.all(
      [EDITION, CARD].map((p) => keepPieces({ ...of, pieces: JSON.stringify([p]), lots })),
    );
    expect(both.map((b) => b.ok).sort()).toEqual([false, true]);
  });
});

it('what is decided by hand is kept though the planning was quicker; what it found for before is let go of', async () => {
  const id = await begin();
  await put(id, [EDITION], [1]);
  const before = await onPlan(id);
  const { state, ...of } = before;
  await planned(id);
  // The page still shows the state without its plan.
  const lots = JSON.stringify({ only: [1] });
  const more = JSON.stringify([EDITION, CARD]);
  expect(await keepPieces({ ...of, pieces: more, lots })).toMatchObject({ ok: true });
  expect(await keepPieces({ ...of, pieces: more, lots })).toMatchObject({ ok: false });
  const late = cutPlan(sheetJob(state));
  if (isFault(late)) throw new Error(late.what);
  const { stateId } = (await getSheetPlan(db(), id))!;
  const found = foundOf({ ...state, plan: late });
  expect(await keepFound({ ...of, found })).toMatchObject({ ok: true });
  expect((await getSheetPlan(db(), id))!.stateId).toBe(stateId);
});

describe('a plan', () => {
  it('is kept only where it is one of its job; of paper that changed it is to be made anew', async () => {
    const id = await begin();
    await put(id, [EDITION, CARD], [1]);
    expect(await planned(id)).toMatchObject({ ok: true });
    const { state, ...of } = await onPlan(id);
    expect(state.plan!.sheets).toHaveLength(2);
    const [sheet, ...more] = state.plan!.sheets;
    const places = sheet!.places.map((p) => ({ ...p, x: p.x + 200 }));
    const moved = {
      ...state,
      plan: { ...state.plan!, sheets: [{ ...sheet!, places }, ...more] },
    };
    expect(await keepFound({ ...of, found: foundOf(moved) })).toMatchObject({ ok: true });
    expect((await onPlan(id)).state.plan).toBeNull();
    await planned(id);
    expect((await view(id)).stale).toBe(false);
    await here.open.db.write((tx) =>
      takeFromLot(tx, { lotId: 1, amount: 5.5, kind: 'test', reason: 'a test', at }),
    );
    expect(await view(id)).toMatchObject({ stale: true });
    await here.open.db.write((tx) =>
      takeFromLot(tx, { lotId: 1, amount: -5.5, kind: 'other', reason: 'found', at }),
    );
  });

  it('holds what is locked, and lets go of it where the paper is another', async () => {
    const id = await begin();
    await put(id, [{ ...EDITION, count: 5 }], [1]);
    await planned(id);
    await planned(id, (s) => {
      const { piece, copy, x, y, turned } = s.plan!.sheets.at(-1)!.places[0]!;
      const sheet = s.plan!.sheets.length - 1;
      return { ...locked(s, { piece, copy, sheet }, { x, y, turned }), plan: null };
    });
    const { state } = await onPlan(id);
    expect(state.locks).toHaveLength(1);
    const { piece, copy, x, y } = state.locks[0]!;
    expect(state.plan!.sheets[0]!.places).toContainEqual(
      expect.objectContaining({ piece, copy, x, y }),
    );
    await put(id, [{ ...EDITION, count: 5 }, CARD], [1]);
    expect((await onPlan(id)).state.locks).toHaveLength(1);
    await put(id, [{ ...EDITION, count: 5 }, CARD], [2]);
    expect((await onPlan(id)).state).toMatchObject({ locks: [], begun: [] });
  });

  it('goes out as a list of cuts, and at 1 : 1', async () => {
    const id = await begin();
    await put(id, [EDITION, CARD], [1]);
    await planned(id);
    const ask = async (query: string) =>
      getDocument(new Request(`http://x/api?${query}`), {
        params: Promise.resolve({ id: String(id) }),
      });
    const pdf = Buffer.from(await (await ask('form=pdf')).arrayBuffer());
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    const svg = await (await ask('form=svg&sheet=1')).text();
    expect(svg).toContain('width="610mm" height="914mm"');
    expect(svg).toContain('Slack Water · 30 × 40');
    expect((await ask('form=svg&sheet=3')).status).toBe(404);
  });
});

describe('a sheet that is printed', () => {
  let id: number;
  let printed: number;
  beforeAll(async () => {
    id = await begin();
    await put(id, [EDITION, { ...CARD, id: 'proof:1' }, { ...CARD, mayTurn: true }], [2]);
    await planned(id);
  });
  const fixed = async () => {
    const { planId, basedOn } = await onPlan(id);
    return { planId, basedOn, index: '0' };
  };

  it('is one file, each print in it as in its own, and goes to the printer', async () => {
    expect(await writeSheetOfPrints(await fixed())).toMatchObject({ ok: true });
    await idle(here.open);
    const { files, state } = await view(id);
    expect(files[0]).toMatchObject({ failed: 0, errand: null, ppi: 72 });
    const file = (await getSheetFile(db(), files[0]!.id))!;
    const gang = storePaths(here.open.home).file(file.sha256);
    const [own] = await here.rows<{ sha: string }>(
      'SELECT sha256 AS sha FROM print_file WHERE id = 1',
    );
    const single = sharp(storePaths(here.open.home).file(own!.sha));
    const { margin } = state.rules;
    for (const { x, y, turned } of state.plan!.sheets[0]!.places) {
      const one = await (turned ? single.clone().rotate(90) : single.clone())
        .keepIccProfile()
        .raw()
        .toBuffer({ resolveWithObject: true });
      const px = (v: number) => Math.round((v / 25.4) * 72);
      const { width, height } = one.info;
      const rect = { left: px(x - margin.left), top: px(y - margin.top), width, height };
      const lying = await sharp(gang).extract(rect).keepIccProfile().raw().toBuffer();
      expect(Buffer.compare(lying, one.data)).toBe(0);
    }
    expect(await handSheetOver({ ...(await fixed()), routeId: '1' })).toMatchObject({
      ok: true,
    });
    await idle(here.open);
    const drop = join(here.open.home, 'drop/own-printer/H-0001');
    expect(readdirSync(drop)).toContain(file.name);
    const manifest = JSON.parse(readFileSync(join(drop, 'manifest.json'), 'utf8')) as {
      items: object[];
    };
    expect(manifest.items).toMatchObject([{ file: file.name, title: '4 prints', ppi: 72 }]);
    expect((await view(id)).files[0]!.errand).toEqual({
      number: 'H-0001',
      to: 'Own printer',
    });
  });

  it('takes its paper, its prints bear the cost, the proof is a round, numbers wait', async () => {
    const [before] = (await lotsOf(db(), 1)).filter((l) => l.id === 2);
    const { state } = await onPlan(id);
    const { length } = state.plan!.sheets[0]!;
    const asked = await fixed();
    const booked = await bookPrinted({ ...asked, came: 'well', reason: '' });
    printed = booked.ok ? booked.value : 0;
    expect(await bookPrinted({ ...asked, came: 'well', reason: '' })).toMatchObject({
      ok: false,
      message: expect.stringContaining('changed elsewhere'),
    });
    const all = await lotsOf(db(), 1);
    const kept = all.filter((l) => l.leftOver);
    const [after] = all.filter((l) => l.id === 2);
    expect(after!.left).toBeCloseTo(before!.left - length, 6);
    const whole = (8400 * length) / 5000;
    const costs = await here.rows<{ cost: number }>(
      `SELECT cost_minor AS cost FROM printed_piece WHERE printed_sheet_id = ${printed}`,
    );
    const sum =
      costs.reduce((a, c) => a + c.cost, 0) + kept.reduce((a, l) => a + l.price, 0);
    expect(Math.abs(sum - whole)).toBeLessThanOrEqual(1);
    expect((await onPlan(id)).state.pieces).toEqual([]);
    // The proof is out at its station, the card stands in the log book; both with their paper.
    expect(await here.rows('SELECT size_key, lot FROM proof_round')).toHaveLength(1);
    const entries = await readEntries(db(), {}, 20);
    const paper = await paperOfEntries(
      db(),
      entries.map((e) => e.id),
    );
    for (const kind of ['proofRound', 'print'])
      expect(paper.get(entries.find((e) => e.kind === kind)!.id)).toMatchObject({
        kind: 'roll',
      });
    expect(await waitingPieces(db(), { workId: here.workId, sizeKey: SIZE })).toHaveLength(
      2,
    );
  });

  it('its prints get their numbers with paper and lot, and take none again', async () => {
    const [first, second] = await waitingPieces(db(), {
      workId: here.workId,
      sizeKey: SIZE,
    });
    const left = async () => (await lotsOf(db(), 1)).map((l) => l.left);
    const before = await left();
    const given = {
      editionId: String(here.editionId),
      series: 'number',
      sizeKey: SIZE,
      overruled: 'tested',
    };
    const number = (piece: number) => assign({ ...given, pieceId: String(piece) });
    expect(await number(first!.id)).toMatchObject({ ok: true, value: '2/30' });
    expect(await number(first!.id)).toMatchObject({
      ok: false,
      message: expect.stringContaining('waits for no number'),
    });
    expect(await left()).toEqual(before);
    const entry = (await readEntries(db(), { kind: 'impression' }, 1))[0]!;
    expect(entry).toMatchObject({ what: 'impression 2/30', paperId: 1 });
    const paper = (await paperOfEntries(db(), [entry.id])).get(entry.id);
    expect(paper).toMatchObject({ lot: 'a delivery', kind: 'roll' });
    expect(paper!.cost).toBeGreaterThan(0);
    expect(
      await spoilPiece({ pieceId: String(second!.id), reason: 'a scuff' }),
    ).toMatchObject({
      ok: true,
    });
    expect(await waitingPieces(db(), { workId: here.workId, sizeKey: SIZE })).toEqual([]);
    // One of its prints is numbered: that it was printed cannot be taken back.
    expect(
      await undoPrinted({ sheetId: String(printed), reason: 'not printed' }),
    ).toMatchObject({
      ok: false,
      message: expect.stringContaining('has its number'),
    });
  });

  it('is taken back as a whole, or is spoiled and its pieces wait on', async () => {
    const other = await begin();
    await put(other, [{ ...EDITION, count: 2 }], [1]);
    await planned(other);
    const total = async () =>
      (await lotsOf(db(), 1)).reduce((n, l) => n + (l.kind === 'roll' ? 0 : l.left), 0);
    const before = await total();
    const leftOvers = async () => (await lotsOf(db(), 1)).filter((l) => l.leftOver).length;
    const there = await leftOvers();
    const asked = async () => {
      const { planId, basedOn } = await onPlan(other);
      return { planId, basedOn, index: '0' };
    };
    expect(
      await bookPrinted({ ...(await asked()), came: 'spoiled', reason: '' }),
    ).toMatchObject({
      ok: false,
      fields: { reason: expect.stringContaining('what went wrong') },
    });
    await bookPrinted({ ...(await asked()), came: 'spoiled', reason: 'head strike' });
    expect(await total()).toBeCloseTo(before - 1, 6);
    expect((await onPlan(other)).state.pieces).toHaveLength(1);
    const done = await bookPrinted({ ...(await asked()), came: 'well', reason: '' });
    const sheetId = String(done.ok && done.value);
    expect(await leftOvers()).toBeGreaterThan(there);
    expect(await undoPrinted({ sheetId, reason: 'not printed' })).toMatchObject({
      ok: true,
    });
    expect(await undoPrinted({ sheetId, reason: 'not printed' })).toMatchObject({
      ok: false,
    });
    expect(await total()).toBeCloseTo(before - 1, 6);
    expect(await leftOvers()).toBe(there);
    const { state } = await onPlan(other);
    expect(state).toMatchObject({ plan: null, pieces: [{ id: 'edition:1', count: 2 }] });
    expect(await waitingPieces(db(), { workId: here.workId, sizeKey: SIZE })).toEqual([]);
  });

  it('says why it cannot be one file', async () => {
    const [master] = await here.rows<{ id: number }>('SELECT max(id) AS id FROM master');
    const fine = await printFile(master!.id, 100);
    const other = await begin();
    await put(other, [CARD, { ...CARD, id: `card:${fine}` }], [1]);
    await planned(other);
    const { planId, basedOn } = await onPlan(other);
    const asked = { planId, basedOn, index: '0' };
    expect(await writeSheetOfPrints(asked)).toMatchObject({
      ok: false,
      message: expect.stringContaining('72 and 100 ppi'),
    });
    expect(await handSheetOver({ ...asked, routeId: '1' })).toMatchObject({
      ok: false,
      message: expect.stringContaining('has no file as it lies now'),
    });
    expect(await writeSheetOfPrints({ ...asked, index: '9' })).toMatchObject({ ok: false });
  });
});

it('begins with the margins of the own printer, and says which lots it does not take', async () => {
  await here.open.db.write(async (tx) => {
    await addPrinter(
      tx,
      printer('Heron 13', {
        route: 'Own printer',
        widest: mm(330),
        takes: 'sheets',
        marginLeft: mm(4),
        marginRight: mm(5),
        marginTop: mm(6),
        marginBottom: mm(21),
      }),
    );
    await receiveLot(tx, { ...roll(1, 300, 9000, at), name: 'narrow roll' });
    await receiveLot(tx, { ...sheets(1, 4, at, 329, 483), name: 'A3+ sheets' });
  });
  const view = await loadSheets(String(await begin()), {});
  expect(view.state.rules.margin).toEqual({ left: 4, right: 5, top: 6, bottom: 21 });
  const names = view.notTaken!.lots.map((l) => l.name);
  expect(names).toContain('narrow roll');
  expect(names).not.toContain('A3+ sheets');
});

it('a roll on a core that the printer does not hold is named, one on another is not', async () => {
  const { open } = here;
  await open.db.write(async (tx) => {
    const [printer] = await listPrinters(tx);
    const after = {
      takes: 'both' as const,
      widest: mm(610),
      coreFrom: mm(76),
      coreTo: mm(76),
    };
    await editRow(tx, 'printer', printer!.id, after, { at, name: printer!.name });
    for (const [name, core] of [
      ['on two inches', 50.8],
      ['on three inches', 76.2],
    ] as const)
      await receiveLot(tx, { ...roll(1, 432, 9000, at), name, core: mm(core) });
  });
  const { notTaken } = await loadSheets(String(await begin()), {});
  expect(notTaken!.lots.map((l) => l.name)).toEqual(['on two inches']);
});
