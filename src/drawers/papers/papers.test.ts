import { Readable } from 'node:stream';
import sharp from 'sharp';
import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { TYPED_PAPER } from '../../../e2e/support/typedPaper';
import { undo } from '@/drawers/undo/actions';
import {
  bringPapers,
  createPaper,
  discontinuePaper,
  editPaper,
  removePaper,
} from './actions';
import { countOfLot, putPaperBack, receivePaper, takeOfLot } from './lotActions';
import { permanenceLine } from '@/studio/words/paperWords';
import { receiveSwatch } from './intakeSwatch';
import { notePaper } from './lifeActions';
import { noteWords } from './lifeWords';
import { loadPapers } from './view';
import { lastsSentence } from '@/studio/words/lastingWords';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const picked = async (paper: string) => (await loadPapers({ paper })).picked!;

it('adds a paper once under its name', async () => {
  expect(await createPaper(TYPED_PAPER)).toMatchObject({ ok: true, value: 2 });
  expect(await createPaper(TYPED_PAPER)).toMatchObject({
    ok: false,
    fields: { name: expect.stringContaining('there is a paper “Estuary Rag”') },
  });
  expect(await picked('2')).toMatchObject({ weight: 285, thickness: 0.46, sheets: 0 });
});

describe('lots', () => {
  const DELIVERY = {
    paperId: '2',
    kind: 'sheet',
    name: 'B 41',
    width: '42 cm',
    height: '59.4 cm',
    pieces: '10',
    price: '5.60',
    supplier: 'Ragwater Mill',
  };
  const uses = async () =>
    (await loadPapers({ paper: '2' })).uses.map(({ id, amount, kind }) => ({
      id,
      amount,
      kind,
    }));

  it('come in, and are taken of by hand, every use a line', async () => {
    expect(await receivePaper(DELIVERY)).toMatchObject({ ok: true, value: 1 });
    const take = (sheets: string, kind = 'spoiled') =>
      takeOfLot({ lotId: '1', kind, sheets, run: '', reason: 'a scuff' });
    expect(await take('3', 'test')).toMatchObject({ ok: true });
    expect(await take('2.5')).toMatchObject({ ok: true });
    expect(await picked('2')).toMatchObject({ sheets: 4.5 });
    expect(await uses()).toMatchObject([
      { amount: 2.5, kind: 'spoiled' },
      { amount: 3, kind: 'test' },
    ]);
    for (const sheets of ['0', 'ten', '99999', ''])
      expect(await take(sheets)).toMatchObject({
        ok: false,
        fields: { sheets: expect.stringMatching(/^Sheets/) },
      });
  });

  it('give no more than is left, whoever took it meanwhile', async () => {
    const take = () =>
      takeOfLot({ lotId: '1', kind: 'test', sheets: '4', run: '', reason: 'two at once' });
    const answers = await Promise.all([take(), take()]);
    expect(answers.filter((a) => a.ok)).toHaveLength(1);
    expect(answers.find((a) => !a.ok)).toMatchObject({
      message: expect.stringContaining('not so much left of this lot'),
    });
    expect(await picked('2')).toMatchObject({ sheets: 0.5 });
  });

  it('are counted by hand, and the difference is kept with its reason', async () => {
    const count = {
      lotId: '1',
      sheets: '5',
      run: '',
      reason: 'some lay in the other drawer',
    };
    expect(await countOfLot(count)).toMatchObject({ ok: true });
    expect(await picked('2')).toMatchObject({ sheets: 5 });
    expect((await uses())[0]).toMatchObject({ amount: -4.5, kind: 'counted' });
  });

  it('are sheets or one roll, of a paper that there is', async () => {
    expect(await receivePaper({ ...DELIVERY, kind: 'roll' })).toMatchObject({
      ok: false,
      fields: { pieces: expect.stringContaining('a roll is one') },
    });
    for (const height of ['0', '-3 mm', ''])
      expect(
        await receivePaper({ ...DELIVERY, kind: 'roll', pieces: '1', height }),
      ).toMatchObject({
        ok: false,
        fields: { height: expect.any(String) },
      });
    expect(await receivePaper({ ...DELIVERY, paperId: '77' })).toMatchObject({ ok: false });
    const roll = {
      ...DELIVERY,
      kind: 'roll',
      pieces: '1',
      width: '42 cm',
      height: '594 cm',
    };
    expect(await receivePaper(roll)).toMatchObject({ ok: true, value: 2 });
    // Ten sheets' worth of it.
    expect(await picked('2')).toMatchObject({ sheets: 15 });
    expect(
      await takeOfLot({
        lotId: '2',
        kind: 'test',
        sheets: '',
        run: '59.4 cm',
        reason: 'a band',
      }),
    ).toMatchObject({ ok: true });
    expect(await picked('2')).toMatchObject({ sheets: 14 });
    expect((await loadPapers({ paper: '2', lot: '2' })).lot).toMatchObject({ left: 5346 });
  });

  it('take back only what a print took', async () => {
    const [last] = await uses();
    expect(await putPaperBack({ useId: String(last!.id) })).toMatchObject({ ok: true });
    expect(await putPaperBack({ useId: String(last!.id) })).toMatchObject({
      ok: false,
      message: 'It was put back already.',
    });
    expect(await putPaperBack({ useId: '999' })).toMatchObject({ ok: false });
    expect(await picked('2')).toMatchObject({ sheets: 15 });
  });
});

it('is noted as discontinued with what takes its place, and made again', async () => {
  const note = (discontinued: string, replacementId: string) =>
    discontinuePaper({ paperId: '2', discontinued, replacementId });
  expect(await note('yes', '2')).toMatchObject({
    ok: false,
    fields: { replacementId: expect.stringContaining('choose another paper') },
  });
  expect(await note('yes', '77')).toMatchObject({ ok: false });
  expect(await note('yes', '1')).toMatchObject({ ok: true });
  expect(await picked('2')).toMatchObject({
    discontinuedAt: expect.any(String),
    replacementId: 1,
  });
  // What is itself no longer made takes nobody's place.
  expect(
    await discontinuePaper({ paperId: '1', discontinued: 'yes', replacementId: '2' }),
  ).toMatchObject({ ok: false });
  expect(await undo({})).toMatchObject({ ok: true });
  expect(await picked('2')).toMatchObject({ discontinuedAt: null, replacementId: null });
});

it('changes what is noted, not what lies on the shelf', async () => {
  const { editing } = await loadPapers({ paper: '2', edit: '1' });
  const seen = JSON.stringify(editing);
  expect(await editPaper({ ...editing!, weight: '290', paperId: '2', seen })).toMatchObject(
    { ok: true },
  );
  expect(await picked('2')).toMatchObject({ weight: 290, sheets: 15 });
  expect(await editPaper({ ...editing!, weight: '300', paperId: '2', seen })).toMatchObject(
    {
      ok: false,
      fields: { weight: expect.stringContaining('now “290”') },
    },
  );
  expect(
    await editPaper({ ...editing!, name: 'Linen 300', paperId: '2', seen }),
  ).toMatchObject({ ok: false, fields: { name: expect.any(String) } });
});

describe('permanence', () => {
  const lasts = (
    permanenceYears: string,
    permanenceSource: string,
    permanenceDisplay: string,
  ) =>
    createPaper({
      ...TYPED_PAPER,
      name: 'Lasting',
      permanenceYears,
      permanenceSource,
      permanenceDisplay,
    });

  it('is never a bare figure', async () => {
    expect(await lasts('200', '', '')).toMatchObject({
      ok: false,
      fields: { permanenceSource: expect.stringContaining('years alone promise') },
    });
    expect(await lasts('200', 'the mill', '')).toMatchObject({
      ok: false,
      fields: { permanenceDisplay: expect.any(String) },
    });
    expect(await lasts('', 'the mill', 'behind glass')).toMatchObject({
      ok: false,
      fields: { permanenceYears: expect.any(String) },
    });
    const list = `Name,Maker,Weight,Sheet width,Sheet height,Price a sheet,Permanence\nOat,V,250,30 cm,40 cm,4,200`;
    expect(await bringPapers({ list })).toMatchObject({
      ok: false,
      message: expect.stringContaining('Line 2: Permanence says'),
    });
  });

  it('is kept with its source and how the print is displayed', async () => {
    const kept = await lasts('95', 'the mill’s own test', 'behind glass');
    const { picked } = await loadPapers({
      paper: String((kept as { value: number }).value),
    });
    expect(permanenceLine(picked!)).toBe('95 years behind glass, the mill’s own test');
  });
});

it('says how long it lasts, and by which day to order', () => {
  const at = (day: string) => `the ${Number(day.slice(8))}th`;
  const lasting = {
    perWeek: 3.66,
    coming: 0,
    over: 10,
    weeks: 3.01,
    emptyOn: '2026-03-02',
    orderBy: '2026-02-19',
    reorderPoint: 11,
  };
  expect(lastsSentence(lasting, 8, at)).toBe(
    'About 3 weeks at 3.7 a week; a delivery takes 8 days: order by the 19th.',
  );
  expect(lastsSentence({ ...lasting, weeks: 1.2, perWeek: 12.2 }, 1, at)).toBe(
    'About 8 days at 12 a week; a delivery takes 1 day: order by the 19th.',
  );
  expect(
    lastsSentence({ ...lasting, orderBy: null, reorderPoint: null }, null, at),
  ).toContain('say how long a delivery takes');
  expect(lastsSentence(null, 8, at)).toBe('');
});

it('is taken out only while nothing happened on it', async () => {
  for (const paperId of ['1', '2'])
    expect(await removePaper({ paperId })).toMatchObject({
      ok: false,
      message: expect.stringContaining('Only a paper that nothing depends on'),
    });
  const added = await createPaper({ ...TYPED_PAPER, name: 'Sample' });
  const paperId = String((added as { value: number }).value);
  expect(await removePaper({ paperId })).toMatchObject({ ok: true });
  expect((await loadPapers({})).page.rows.map((p) => p.name)).not.toContain('Sample');
});

it('takes a list in whole, or nothing of it', async () => {
  const head = 'Name,Maker,Weight,Sheet width,Sheet height,Price a sheet';
  const good = 'Mudlark,Ooze & Daughters,290,29.7 cm,42 cm,2.60';
  const names = async () => (await loadPapers({})).counts.all;
  const before = await names();
  const taken = await bringPapers({
    list: `${head}\n${good}\nEstuary Rag,x,200,1 cm,1 cm,1`,
  });
  expect(taken).toMatchObject({
    ok: false,
    fields: { list: expect.stringMatching(/^Line 3: there is a paper “Estuary Rag”/) },
  });
  expect(await names()).toBe(before);
  expect(await bringPapers({ list: `${head}\n${good}` })).toMatchObject({
    ok: true,
    value: 1,
  });
  expect(await names()).toBe(before + 1);
});

describe('the life of a paper', () => {
  const NOTE = { day: '2026-03-02', triedFor: '', printed: '', setting: '', words: '' };
  let paperId: string;
  beforeAll(async () => {
    const made = await createPaper({ ...TYPED_PAPER, name: 'Flax 310' });
    paperId = String((made as { value: number }).value);
  });
  const note = (more: object) => notePaper({ ...NOTE, paperId, ...more });
  const row = async () =>
    (await loadPapers({})).page.rows.find((r) => String(r.id) === paperId)!;

  it('is heard of, asked for, tried; until it is bought nothing of it runs out', async () => {
    const before = (await loadPapers({})).counts.low;
    expect(await row()).toMatchObject({ station: 'heard', toCome: false });
    expect(await note({ station: 'asked' })).toMatchObject({ ok: true });
    expect(await row()).toMatchObject({ station: 'asked', toCome: true });
    expect((await loadPapers({})).counts.low).toBe(before - 1);
    const tried = { station: 'tried', triedFor: 'Watercolours, portraits' };
    expect(await note(tried)).toMatchObject({
      fields: { words: expect.stringContaining('Say one of them') },
    });
    expect(await note({ ...tried, words: 'Washes stay light.' })).toMatchObject({
      ok: true,
    });
    expect(await note({ station: 'tried', words: 'x', day: '2199-01-01' })).toMatchObject({
      fields: { day: expect.stringContaining('still to come') },
    });
    expect(await row()).toMatchObject({ station: 'tried' });
  });

  it('tells which papers were tried for something', async () => {
    const view = await loadPapers({ tried: 'watercolours' });
    expect(view.tried).toEqual(['portraits', 'watercolours']);
    expect(view.page.rows.map((r) => r.name)).toEqual(['Flax 310']);
    expect(view.page.total).toBe(1);
    // What nobody tried is no question: all are shown.
    expect((await loadPapers({ tried: 'etchings' })).page.total).toBeGreaterThan(1);
  });

  it('has swatches that were photographed, and shows all of it in order', async () => {
    const png = sharp({ create: { width: 9, height: 9, channels: 3, background: '#eee' } });
    const bytes = await png.png().toBuffer();
    const take = receiveSwatch(paperId);
    expect(await take('flax.png', Readable.from([bytes]))).toMatchObject({ ok: true });
    expect(await receiveSwatch('99')('flax.png', Readable.from([bytes]))).toMatchObject({
      ok: false,
    });
    const { life } = await loadPapers({ paper: paperId, life: '1' });
    expect(life!.notes.map((n) => n.station)).toEqual(['asked', 'tried', 'swatch']);
    expect(life!.notes[2]!.photograph).toMatch(/^[0-9a-f]{64}$/);
    expect(noteWords(life!.notes[1]!)).toBe(
      ' for Watercolours, portraits. Washes stay light.',
    );
    expect(life!.been).toEqual(expect.arrayContaining(['asked', 'tried']));
  });

  it('is in stock from its first delivery on', async () => {
    await receivePaper({
      paperId,
      kind: 'sheet',
      name: 'F 1',
      width: '42 cm',
      height: '59.4 cm',
      pieces: '2',
      price: '5.60',
      supplier: '',
    });
    expect(await row()).toMatchObject({ station: 'inStock', toCome: false });
  });
});
