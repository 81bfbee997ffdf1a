import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { undo } from '@/drawers/undo/actions';
import {
  bringPapers,
  createPaper,
  discontinuePaper,
  editPaper,
  movePaper,
  removePaper,
} from './actions';
import { usualPaper } from './paperForm';
import { loadPapers } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const RAG = {
  ...usualPaper({ units: 'metric', currency: 'EUR', locale: 'en-GB' }),
  name: 'Estuary Rag',
  maker: 'Ragwater Mill',
  weight: '285',
  thickness: '0.46',
  sheetWidth: '42 cm',
  sheetHeight: '59.4 cm',
  price: '5.60',
  reorderPoint: '4',
};
const picked = async (paper: string) => (await loadPapers({ paper })).picked!;

it('adds a paper once under its name', async () => {
  expect(await createPaper(RAG)).toMatchObject({ ok: true, value: 2 });
  expect(await createPaper(RAG)).toMatchObject({
    ok: false,
    fields: { name: expect.stringContaining('there is a paper “Estuary Rag”') },
  });
  expect(await picked('2')).toMatchObject({ weight: 285, thickness: 0.46, sheets: 0 });
});

it('counts sheets in and out, every movement a line', async () => {
  const move = (pieces: string, reason = 'delivery') =>
    movePaper({ paperId: '2', pieces, reason });
  expect(await move('10')).toMatchObject({ ok: true });
  expect(await move('-3', 'printed')).toMatchObject({ ok: true });
  expect(await move('-2', 'printed')).toMatchObject({ ok: true });
  expect(await picked('2')).toMatchObject({ sheets: 5 });
  expect((await loadPapers({ paper: '2' })).movements.map((m) => m.pieces)).toEqual([
    -5, 10,
  ]);
  for (const pieces of ['0', 'ten', '2.5', '99999'])
    expect(await move(pieces)).toMatchObject({
      ok: false,
      fields: { pieces: expect.stringMatching(/^Sheets/) },
    });
  expect(await movePaper({ paperId: '9', pieces: '1', reason: 'x' })).toMatchObject({
    message: 'This paper is not in the drawer any more.',
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
  expect(await picked('2')).toMatchObject({ weight: 290, sheets: 5 });
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

it('is taken out only while nothing happened on it', async () => {
  for (const paperId of ['1', '2'])
    expect(await removePaper({ paperId })).toMatchObject({
      ok: false,
      message: expect.stringContaining('Only a paper that nothing depends on'),
    });
  const added = await createPaper({ ...RAG, name: 'Sample' });
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
