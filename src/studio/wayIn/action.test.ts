import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { Refused, tell, saveSettings } from '@/data';
import { act, refuse } from './action';
import { benchWord, defineForm, text, whole } from '@/core/input';
import { rowId } from './rowId';

const revalidatePath = jest.fn();
jest.mock('next/cache', () => ({
  revalidatePath: (...a: unknown[]) => void revalidatePath(...a),
}));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());
beforeEach(() => revalidatePath.mockClear());

const input = defineForm({
  name: text('Name'),
  count: whole('Count', { min: 0, max: 9 }),
});
const typed = { name: 'gull', count: '3' };
const written = async () =>
  (
    await here.rows<{ n: number }>(
      "SELECT count(*) AS n FROM log_line WHERE what = 'tested'",
    )
  )[0]!.n;
const line = { at: '2026-11-02T10:00:00.000Z', what: 'tested', detail: {} };

it('reads, writes, and makes the views read again', async () => {
  const answer = await act(input, typed, {}, async (v, { write }) => {
    await write((tx) => tell(tx, line));
    return v.count + 1;
  });
  expect(answer).toEqual({ ok: true, value: 4 });
  expect(await written()).toBe(1);
  expect(revalidatePath).toHaveBeenCalledTimes(1);
});

describe('figures typed on a page that was written under another bench', () => {
  const page = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;
  const send = (bench: string, count = typed.count) => {
    const run = jest.fn((value: { count: number }) => Promise.resolve(value.count));
    return act(input, { ...typed, count, bench }, {}, run).then((a) => [
      a.ok ? a.value : a.message.slice(0, 15),
      run.mock.calls.length,
    ]);
  };
  const REFUSED = ['Units, currency', 0];
  afterAll(() =>
    here.open.db.write((tx) => saveSettings(tx, { locale: 'en-GB', currency: 'EUR' })),
  );

  it('are read where they mean the same under both', async () => {
    expect(await send(benchWord(page))).toEqual([3, 1]);
    await here.open.db.write((tx) => saveSettings(tx, { locale: 'de-DE' }));
    expect(await send(benchWord(page))).toEqual([3, 1]);
  });
  it('are refused where they mean something else by now', async () => {
    expect(await send(benchWord(page), '1,200')).toEqual(REFUSED);
    // Read, as a figure of this bench, and only then held against its limit.
    const read = await send(benchWord({ ...page, locale: 'de-DE' }), '1.200');
    expect(read).toEqual(['Count: 1.200 is', 0]);
  });
  it('are refused where amounts are of another currency by now, or nothing says how they were written', async () => {
    await here.open.db.write((tx) => saveSettings(tx, { currency: 'CHF' }));
    expect(await send(benchWord({ ...page, locale: 'de-DE' }))).toEqual(REFUSED);
    for (const odd of ['', 'metric', 'ell EUR de-DE', 'metric EUR x', 'metric EUR de-DE x'])
      expect(await send(odd)).toEqual(REFUSED);
  });
});

it('runs nothing of what it could not read, and says so at the fields', async () => {
  const run = jest.fn();
  const answer = await act(input, { name: '', count: '12' }, {}, run);
  expect(answer).toMatchObject({ ok: false });
  expect(Object.keys((answer as { fields: object }).fields).sort()).toEqual([
    'count',
    'name',
  ]);
  expect(run).not.toHaveBeenCalled();
  for (const nonsense of [null, 7, 'x', [], { name: {} }])
    expect((await act(input, nonsense, {}, run)).ok).toBe(false);
});

it.each([
  [
    'answers with a refusal',
    () => refuse('Not like this.', { name: 'Name: no.' }),
    'Not like this.',
  ],
  [
    'meets a rule',
    () => {
      throw new Refused('soldOut');
    },
    'All are gone.',
  ],
  [
    'finds the disk full',
    () => {
      throw Object.assign(new Error('write failed'), { code: 'ENOSPC' });
    },
    /disk with the data folder is full/,
  ],
] as const)(
  'a write that %s leaves nothing of what it wrote before',
  async (_, end, message) => {
    const before = await written();
    const answer = await act(input, typed, { soldOut: 'All are gone.' }, (_v, { write }) =>
      write(async (tx) => {
        await tell(tx, line);
        await saveSettings(tx, { handlingDays: 9 });
        return end();
      }),
    );
    expect(answer).toMatchObject({ ok: false, message: expect.stringMatching(message) });
    expect(await written()).toBe(before);
    expect(await here.rows("SELECT * FROM setting WHERE key = 'handlingDays'")).toEqual([]);
    expect(revalidatePath).not.toHaveBeenCalled();
    // The next write goes through.
    expect((await act(input, typed, {}, () => Promise.resolve('on'))).ok).toBe(true);
  },
);

it('hides no mistake of its own', async () => {
  const broken = () => Promise.reject(new TypeError('a mistake'));
  await expect(act(input, typed, {}, broken)).rejects.toThrow('a mistake');
});

it.each([
  ['7', 7],
  ['0', 0],
  ['-7', 0],
  ['7.5', 0],
  ['1e3', 0],
  ['٧', 0],
  ['9'.repeat(16), 0],
  ['9'.repeat(15), 999_999_999_999_999],
])('an address with %p is of row %i', (text_, id) => expect(rowId(text_)).toBe(id));
