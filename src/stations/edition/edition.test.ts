import { plainLayout } from '@/core/size';
import { mm } from '@/core/units';
import { addSizeEvent } from '@/data';
import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { assign, declare, spoil, verifyLedger } from './actions';
import { loadEdition } from './view';
import { EDITION_WORDS, movedOnWords } from './words';
import { ledgerWords } from '@/studio';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ editionOf: 6, numbered: 2, orders: 1 });
});
afterAll(() => here.end());

const number = (over: Record<string, string> = {}) =>
  assign({
    editionId: String(here.editionId),
    sizeKey: SIZE,
    series: 'number',
    overruled: 'printed before proofs were kept',
    ...over,
  });

it('shows the next number, and gives the one it showed', async () => {
  const view = await loadEdition('1', { size: SIZE });
  expect(view).toMatchObject({
    next: '3/6',
    reference: { standing: null },
    overruled: false,
  });
  expect(await number({ shown: '3/6', overruled: '' })).toMatchObject({
    ok: false,
    fields: { overruled: expect.stringContaining('There is no valid reference') },
  });
  expect(await number({ shown: '3/6' })).toEqual({ ok: true, value: '3/6' });
  expect((await loadEdition('1', { size: SIZE })).next).toBe('4/6');
});

it('asks for a reason where no proof was approved, once, and the log keeps it', async () => {
  const lines = await here.rows<{ detail: string }>(
    "SELECT detail FROM log_line WHERE what = 'reference.overruled'",
  );
  expect(lines.map((l) => JSON.parse(l.detail) as unknown)).toEqual([
    {
      did: 'Numbered',
      why: 'no proof of it was approved',
      reason: 'printed before proofs were kept',
    },
  ]);
  expect(await loadEdition('1', { size: SIZE })).toMatchObject({ overruled: true });
});

it('gives nothing when another page was quicker, and says what is next', async () => {
  const stale = await number({ shown: '3/6' });
  expect(stale).toEqual({
    ok: false,
    message: movedOnWords('3/6', '4/6'),
    fields: {},
  });
  expect(movedOnWords('3/6', '4/6')).toContain('press again to number it');
  expect((await loadEdition('1', { size: SIZE })).next).toBe('4/6');
});

it('of many presses of one page only one is given', async () => {
  const all = await Promise.all(Array.from({ length: 8 }, () => number({ shown: '4/6' })));
  expect(all.filter((a) => a.ok)).toEqual([{ ok: true, value: '4/6' }]);
  const [row] = await here.rows<{ n: number }>(
    "SELECT count(*) AS n FROM ledger WHERE kind = 'assigned' AND number = 4",
  );
  expect(row!.n).toBe(1);
});

it('prints a spoiled number again, and tells its story', async () => {
  const of = { editionId: String(here.editionId), series: 'number', number: '4' };
  expect(await spoil({ ...of, reason: 'a hair under the ink' })).toMatchObject({
    ok: true,
  });
  expect(await spoil({ ...of, reason: 'twice' })).toMatchObject({
    ok: false,
    message: 'This impression is recorded as spoiled already.',
  });
  expect(await number({ requested: '4' })).toEqual({ ok: true, value: '4/6' });
  const view = await loadEdition('1', { size: SIZE, impression: 'number:4' });
  expect(view.asked).toMatchObject({ label: '4/6', state: 'numbered', printing: 2 });
  expect(view.story.map((s) => s.text)).toEqual([
    'Numbered.',
    'Spoiled and destroyed: a hair under the ink.',
    'Numbered again, printing 2.',
  ]);
});

it.each([
  [{ requested: '9' }, 'This number is not in the edition.'],
  [{ requested: '1' }, /is out already/],
  [{ editionId: '99' }, /edition is not there/],
  [{ series: 'other' }, /Series/],
])('refuses %j', async (over, message) => {
  const answer = await number(over);
  expect(answer.ok).toBe(false);
  expect((answer as { message: string }).message).toMatch(message);
});

it('never spoils what is reserved for an order', async () => {
  const answer = await spoil({
    editionId: String(here.editionId),
    series: 'number',
    number: '1',
    reason: 'x',
  });
  expect(answer).toMatchObject({ ok: false });
  expect((answer as { message: string }).message).toContain('reserved for an order');
});

it('stands as declared once a number is out', async () => {
  const declaration = {
    workId: '1',
    sizeKey: SIZE,
    kind: 'limited',
    scope: 'perSize',
    size: '5',
    artistsProofs: '2',
  };
  const changed = await declare(declaration);
  expect(changed).toMatchObject({ ok: false });
  expect((changed as { message: string }).message).toContain('its declaration stands');
  const over = await declare({ ...declaration, scope: 'allSizes' });
  expect((over as { message: string }).message).toContain('would overlap');
  expect(await declare({ ...declaration, sizeKey: 'isoA-A3' })).toMatchObject({
    ok: false,
    message: EDITION_WORDS.noSize,
  });
  await here.open.db.write((tx) =>
    addSizeEvent(tx, {
      workId: 1,
      sizeKey: 'isoA-A3',
      kind: 'offered',
      layout: plainLayout('within', mm(20)),
      judged: null,
      reason: null,
      at: '2026-11-02T12:00:00.000Z',
    }),
  );
  const none = await declare({ ...declaration, sizeKey: 'isoA-A3', size: '0' });
  expect(none).toMatchObject({
    ok: false,
    fields: { size: expect.stringMatching(/at least one/) },
  });
  expect(await declare({ ...declaration, sizeKey: 'isoA-A3' })).toMatchObject({ ok: true });
});

it('closes when every number is given', async () => {
  expect(await number({ shown: '5/6' })).toMatchObject({ ok: true });
  expect(await number({ shown: '6/6' })).toMatchObject({ ok: true });
  expect((await loadEdition('1', { size: SIZE })).next).toBeNull();
  expect(await number({ shown: '6/6' })).toMatchObject({
    message: movedOnWords('6/6', null),
  });
  expect(await number()).toMatchObject({
    message: 'Every number of this edition is given out. Nothing can be added to it.',
  });
});

it('walks its ledger in words', async () => {
  const [row] = await here.rows<{ n: number }>('SELECT count(*) AS n FROM ledger');
  expect(await verifyLedger()).toEqual({
    ok: true,
    value: {
      sound: true,
      words: expect.stringContaining(
        `The ledger holds: ${row!.n} entries, each following from the one before`,
      ),
    },
  });
  const faults = [{ code: 'entry', brokenAt: 7, why: 'changed' } as const];
  expect(ledgerWords({ sound: false, entries: 9, faults })).toContain('entry 7');
});
