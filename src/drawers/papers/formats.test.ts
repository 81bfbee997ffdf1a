import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { TYPED_PAPER } from '../../../e2e/support/typedPaper';
import { undo } from '@/drawers/undo/actions';
import { bringPapers, createPaper, discontinuePaper, editPaper } from './actions';
import { papersCsv, papersTemplate } from './csv';
import { noLongerSold, notePrice } from './formatActions';
import { receivePaper } from './lotActions';
import { loadPapers } from './view';
import { stockSentence } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ empty: true });
});
afterAll(() => here.end());

const RAG = { ...TYPED_PAPER, supplier: 'Quay Stores' };
const ROLL = {
  paperId: '1',
  kind: 'roll',
  width: '61 cm',
  height: '15 m',
  core: '76 mm',
  price: '9.80',
  per: 'running metre',
  supplier: '',
  day: '2026-09-01',
};
const formats = async (paper = '1') => (await loadPapers({ paper, sold: '1' })).formats;

it('a paper is sold as its usual sheet, at the price and day of its form', async () => {
  expect(await createPaper(RAG)).toMatchObject({ ok: true, value: 1 });
  const { today } = await loadPapers({});
  expect(await formats()).toMatchObject([
    { kind: 'sheet', price: 560, day: today, from: 'paper' },
  ]);
});

it('a roll is noted by the metre, with its core, and a delivery begins from it', async () => {
  expect(await notePrice(ROLL)).toMatchObject({ ok: true });
  expect((await formats())[1]).toMatchObject({
    ...{ kind: 'roll', width: 610, height: 15_000, core: 76, price: 14_700 },
    ...{ day: '2026-09-01', from: 'noted' },
  });
  const as = 'roll 6100 150000';
  const { newLot } = await loadPapers({ paper: '1', lot: 'new', as });
  expect(newLot).toMatchObject({ kind: 'roll', pieces: '1', price: '147.00' });
  const { paperId, ...begun } = { ...newLot!, paperId: '1', name: 'R 7', price: '152' };
  expect(await receivePaper({ ...begun, paperId })).toMatchObject({ ok: true });
  // What was paid last is what it costs.
  expect((await formats())[1]).toMatchObject({ price: 15_200, from: 'delivery', core: 76 });
  const { lots } = await loadPapers({ paper: '1' });
  expect(lots).toMatchObject([{ kind: 'roll', core: 76, left: 15_000 }]);
});

it.each([
  [{ height: '0' }, 'height', 'too little'],
  [{ kind: 'sheet', height: '59 cm', per: 'sheet or roll' }, 'core', 'only a roll'],
  [{ kind: 'sheet', height: '59 cm', core: '' }, 'per', 'not sold by its length'],
  [{ kind: 'sheet', core: '' }, 'height', '5 m long at most'],
  [{ day: '2099-01-01' }, 'day', 'still to come'],
  [{ core: '9 m' }, 'core', 'too much'],
])('%# is refused at its field, and nothing is kept', async (typed, field, words) => {
  const before = await formats();
  expect(await notePrice({ ...ROLL, ...typed })).toMatchObject({
    ok: false,
    fields: { [field]: expect.stringContaining(words) },
  });
  expect(await formats()).toEqual(before);
});

it('what is no longer sold is gone; the usual sheet stays', async () => {
  const size = { paperId: 1, kind: 'sheet', width: 200, height: 300 };
  const noted = {
    ...ROLL,
    kind: 'sheet',
    core: '',
    per: '',
    width: '20 cm',
    height: '30 cm',
  };
  expect(await notePrice(noted)).toMatchObject({ ok: true });
  expect(await formats()).toHaveLength(3);
  // A delivery that says nothing is of the usual sheet, whatever smaller one there is.
  expect((await loadPapers({ paper: '1', lot: 'new' })).newLot).toMatchObject({
    ...{ kind: 'sheet', width: '420 mm', price: '5.60' },
  });
  expect(await noLongerSold(size)).toMatchObject({ ok: true });
  expect(await formats()).toHaveLength(2);
  expect(await noLongerSold(size)).toMatchObject({ ok: false });
  expect(await noLongerSold({ ...size, width: 594, height: 420 })).toMatchObject({
    ok: false,
    message: expect.stringContaining('usual sheet'),
  });
});

it('a price that is changed at the paper has the day of the change, one that stays keeps its own', async () => {
  const { open } = here;
  await open.db.write((tx) =>
    tx.run(`UPDATE paper SET price_on = '2026-02-03' WHERE id = 1`),
  );
  const edit = async (price: string) => {
    const stored = (await loadPapers({ paper: '1', edit: '1' })).editing!;
    const typed = { ...stored, price, note: `now ${price}`, paperId: '1' };
    return editPaper({ ...typed, seen: JSON.stringify(stored) });
  };
  expect(await edit('5.60')).toMatchObject({ ok: true });
  expect((await formats())[0]).toMatchObject({ price: 560, day: '2026-02-03' });
  expect(await edit('6.10')).toMatchObject({ ok: true });
  const { today } = await loadPapers({});
  expect((await formats())[0]).toMatchObject({ price: 610, day: today });
  expect(await undo({})).toMatchObject({ ok: true });
  expect((await formats())[0]).toMatchObject({ price: 560, day: '2026-02-03' });
});

it('a list goes out with every size and comes in again', async () => {
  const { heads, rows } = await papersCsv({}, 500);
  expect(papersTemplate()[0]).toEqual(expect.arrayContaining(['Comes as', 'Core']));
  expect(rows).toHaveLength(2);
  const text = [heads, ...rows]
    .map((row) => row.map((c) => `"${c ?? ''}"`).join(','))
    .join('\n')
    .replaceAll('Estuary Rag', 'Heron Rag');
  expect(await bringPapers({ list: text })).toMatchObject({ ok: true, value: 1 });
  const brought = await formats('2');
  expect(brought).toMatchObject([
    { kind: 'sheet', price: 560 },
    { kind: 'roll', width: 610, height: 15_000, core: 76, price: 15_200 },
  ]);
  expect(await bringPapers({ list: text })).toMatchObject({
    ok: false,
    message: expect.stringContaining('Line 2: there is a paper “Heron Rag”'),
  });
});

it('says what takes the place of a paper, also where that is no longer made either', async () => {
  for (const name of ['Weir Rag', 'Slack Rag'])
    expect(await createPaper({ ...RAG, name })).toMatchObject({ ok: true });
  const gone = (paperId: string, replacementId: string) =>
    discontinuePaper({ paperId, discontinued: 'yes', replacementId });
  const said = async (paper: string) => {
    const { picked, replacement } = await loadPapers({ paper });
    return stockSentence(picked!, replacement, () => 'today');
  };
  expect(await gone('2', '3')).toMatchObject({ ok: true });
  expect(await said('2')).toContain('Weir Rag takes its place.');
  expect(await gone('3', '')).toMatchObject({ ok: true });
  expect(await said('2')).toContain(
    'Weir Rag took its place and is no longer made either: choose another.',
  );
  expect(await gone('3', '4')).toMatchObject({ ok: true });
  expect(await said('2')).toContain('Slack Rag takes its place now.');
});

it('what came for nothing says no price', async () => {
  const sample = {
    ...ROLL,
    kind: 'sheet',
    core: '',
    per: '',
    width: '15 cm',
    height: '20 cm',
  };
  const { day: _, ...delivery } = { ...sample, name: 'a sample', pieces: '2', price: '0' };
  expect(await receivePaper(delivery)).toMatchObject({ ok: true });
  expect((await formats()).map((f) => f.width)).toEqual([420, 610]);
});
