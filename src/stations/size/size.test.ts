import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { undo } from '@/drawers/undo/actions';
import { noteSignature } from '@/stations/capture/actions';
import { plainLayout } from '@/core/size';
import { mm } from '@/core/units';
import { offerSize, withdrawSize } from './actions';
import { loadSize } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const A3 = { workId: '1', sizeKey: 'isoA-A3', fit: 'within', border: '20 mm' };
const offersNow = async () =>
  (await loadSize('1', {})).decided.filter((d) => d.kind === 'offered');
const onOffer = async () => (await offersNow()).map((o) => o.sizeKey);

it('offers a size as it is laid out, and takes that back', async () => {
  const offered = await offerSize(A3);
  expect(offered).toMatchObject({ ok: true, undo: expect.any(Number) });
  expect((await offersNow()).find((o) => o.sizeKey === 'isoA-A3')).toMatchObject({
    layout: plainLayout('within', mm(20)),
    judged: { verdict: 'inHand', advice: 'offer', masterId: 1 },
  });
  const step = String((offered as { undo: number }).undo);
  expect(await undo({ id: step })).toMatchObject({ ok: true, value: 'offering A3' });
  expect(await onOffer()).toEqual([SIZE]);
  expect(await undo({ id: step })).toMatchObject({
    ok: false,
    message: 'This was taken back already.',
  });
});

it('reads a border in either unit', async () => {
  await offerSize({ ...A3, border: '1 in' });
  const offer = (await offersNow()).find((o) => o.sizeKey === 'isoA-A3');
  expect(offer!.layout.borders.below).toBeCloseTo(25.4, 6);
});

it.each([
  [{ border: '150 mm' }, 'border', /leave nothing of A3 to print on/],
  [{ border: 'wide' }, 'border', /Border/],
  [{ border: '-3 mm' }, 'border', /Border/],
  [{ fit: 'stretched' }, 'fit', /How it meets the sheet/],
  [{ sizeKey: 'isoA-A99' }, 'sizeKey', /Size/],
])('refuses %j at its field', async (over, field, message) => {
  const answer = await offerSize({ ...A3, ...over });
  expect(answer).toMatchObject({
    ok: false,
    fields: { [field]: expect.stringMatching(message) },
  });
});

it('withdraws with the reason, in the story of the work', async () => {
  const away = { workId: '1', sizeKey: 'isoA-A3', reason: 'sells at 30 x 40 only' };
  expect(await withdrawSize(away)).toMatchObject({ ok: true });
  expect(await onOffer()).toEqual([SIZE]);
  expect(await withdrawSize(away)).toMatchObject({
    ok: false,
    message: 'This size is not on offer, so there is nothing to withdraw.',
  });
  expect(
    await here.rows(
      "SELECT kind, reason FROM size_event WHERE size_key = 'isoA-A3' ORDER BY id DESC LIMIT 1",
    ),
  ).toEqual([{ kind: 'withdrawn', reason: 'sells at 30 x 40 only' }]);
});

it('every change of a size is a further fact', async () => {
  const events = await here.rows<{ kind: string }>(
    "SELECT kind FROM size_event WHERE size_key = 'isoA-A3' ORDER BY id",
  );
  expect(events.map((e) => e.kind)).toEqual([
    'offered',
    'withdrawn',
    'offered',
    'withdrawn',
  ]);
});

it('reads what was said of the signature', async () => {
  expect((await loadSize('1', {})).signature).toBeNull();
  await noteSignature({ workId: '1', present: 'removed' });
  expect((await loadSize('1', {})).signature).toBe('removed');
});
