import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { undo } from '@/drawers/undo/actions';
import { createWork, editWork, removeWork } from './actions';
import { loadEditWork, loadRule, loadWorks } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));
jest.mock('next/navigation', () => ({
  notFound: () => {
    throw new Error('not found');
  },
}));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const WORK = {
  title: 'Night Ferry',
  artist: 'Senna Quillfeather',
  year: '2026',
  kind: 'painting',
  medium: 'Linocut',
  width: '16 in',
  height: '29.7 cm',
  price: '€1,200.50',
};
const edit = (workId: string, over: Record<string, string>, seen: Record<string, string>) =>
  editWork({ ...WORK, ...over, workId, seen: JSON.stringify(seen) });

it('takes in lengths and money however they are written', async () => {
  expect(await createWork({ ...WORK, height: '29,7 cm' })).toMatchObject({
    ok: false,
    fields: { height: expect.stringContaining('If it is 297 mm, write that') },
  });
  const made = await createWork(WORK);
  expect(made).toMatchObject({ ok: true, value: 2 });
  expect((await loadEditWork('2')).stored).toMatchObject({
    width: '406.4 mm',
    height: '297 mm',
    price: '1200.50',
  });
});

it.each([
  [{ title: '' }, 'title'],
  [{ year: '26' }, 'year'],
  [{ width: '0' }, 'width'],
  [{ width: '30 m' }, 'width'],
  [{ height: 'tall' }, 'height'],
  [{ kind: 'sculpture of air' }, 'kind'],
  [{ price: 'ask' }, 'price'],
])('refuses %j at its field', async (over, field) => {
  expect(await createWork({ ...WORK, ...over })).toMatchObject({
    ok: false,
    fields: { [field]: expect.any(String) },
  });
});

it('changes a work, takes that back, and shows both where another page was quicker', async () => {
  const { stored } = await loadEditWork('2');
  const changed = await edit('2', { medium: 'Linocut, two colours' }, stored);
  expect(changed).toMatchObject({ ok: true, undo: expect.any(Number) });
  const stale = await edit('2', { medium: 'Woodcut' }, stored);
  expect(stale).toMatchObject({
    ok: false,
    fields: { medium: expect.stringContaining('now “Linocut, two colours”') },
  });
  // Sent again, with what the page was told meanwhile, it goes through.
  const { fresh } = stale as unknown as { fresh: { seen: string } };
  expect(
    await editWork({ ...WORK, medium: 'Woodcut', workId: '2', seen: fresh.seen }),
  ).toMatchObject({ ok: true });
  expect((await loadEditWork('2')).stored.medium).toBe('Woodcut');
  expect(await undo({})).toMatchObject({ ok: true, value: 'changing “Night Ferry”' });
  expect((await loadEditWork('2')).stored.medium).toBe('Linocut, two colours');
});

it('takes out only what nothing depends on, and brings it back as it was', async () => {
  expect(await removeWork({ workId: '1' })).toMatchObject({
    ok: false,
    message: expect.stringContaining('This work has a history'),
  });
  expect(await removeWork({ workId: '2' })).toMatchObject({ ok: true });
  await expect(loadEditWork('2')).rejects.toThrow('not found');
  expect(await edit('2', {}, {})).toMatchObject({
    ok: false,
    message: expect.stringContaining('taken out of the drawer meanwhile'),
  });
  expect(await undo({})).toMatchObject({ ok: true, value: 'taking out “Night Ferry”' });
  expect((await loadEditWork('2')).stored.title).toBe('Night Ferry');
});

it('lies in the drawer with its marks and its next step', async () => {
  const { page, works } = await loadWorks({});
  expect(works).toBe(2);
  expect(page.rows.map((r) => [r.work.title, r.next, r.megapixels])).toEqual([
    ['Night Ferry', 'capture', null],
    ['Slack Water', 'pack', expect.closeTo(66.97, 1)],
  ]);
  expect((await loadRule('1')).marks).toMatchObject({
    capture: 'done',
    size: 'done',
    edition: 'done',
    price: 'notYet',
    pack: 'attention',
  });
  expect((await loadWorks({ find: 'ferr' })).page.rows).toHaveLength(1);
  expect((await loadWorks({ find: '"*) OR 1' })).page.total).toBe(0);
});

it.each(['0', '99', '-1', '1e3', '1/../2', '9'.repeat(40), "1' OR '1"])(
  'an address with the work %p leads nowhere',
  async (id) => {
    await expect(loadRule(id)).rejects.toThrow('not found');
    await expect(loadEditWork(id)).rejects.toThrow('not found');
  },
);
