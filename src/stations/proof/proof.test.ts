import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { BACK, SENT, addPaper } from '../../../e2e/support/proofs';
import { reckonPrice } from '@/core/price';
import { keepRoute } from '@/stations/prepare/handOverActions';
import { loadPrice } from '@/stations/price/view';
import { profileFor } from '@/studio';
import { judgeProof, noteCustomer, sendProof } from './actions';
import { promisedBack } from '@/studio/reads/whatWasSent';
import { loadProof } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const send = (over: Record<string, string> = {}) =>
  sendProof({
    ...SENT,
    workId: '1',
    sizeKey: SIZE,
    paperId: '1',
    route: 'own printer',
    cost: '12.50',
    remarks: 'as it is',
    ...over,
  });
const judge = (roundId: number, over: Record<string, string> = {}) =>
  judgeProof({
    workId: '1',
    roundId: String(roundId),
    seen: 'shadows closed',
    toChange: 'open the shadows',
    verdict: 'changeAndRepeat',
    ...BACK,
    ...over,
  });
const idOf = (answer: unknown) => (answer as { value: number }).value;

it('goes round by round until one is the reference', async () => {
  const first = await send();
  expect(first).toMatchObject({ ok: true });
  expect(await loadProof('1', { size: SIZE })).toMatchObject({
    out: { round: 1 },
    reference: null,
  });
  // One round on a paper at a time.
  expect(await send()).toMatchObject({
    ok: false,
    message: 'Round 1 on this paper is still out. Say what was seen on it first.',
  });
  expect(await judge(idOf(first))).toMatchObject({ ok: true });
  const second = await send({ cost: '9' });
  expect(await judge(idOf(second), { verdict: 'approved', toChange: '' })).toMatchObject({
    ok: true,
  });
  const view = await loadProof('1', { size: SIZE });
  expect(view.rounds.map((r) => [r.round, r.verdict])).toEqual([
    [1, 'changeAndRepeat'],
    [2, 'approved'],
  ]);
  expect(view).toMatchObject({
    out: null,
    reference: idOf(second),
    approvedKeys: [SIZE],
  });
});

it('is printed by a route of Prepare, or by the own printer where none is here', async () => {
  const name = 'Tidewrack Print Rooms';
  const wants = {
    leastPpi: '200',
    target: 'a98-rgb',
    press: '',
    bits: '8',
    format: 'tiff',
  };
  const route = { name, kind: 'onlineLab', folder: '', inkSet: '', ...wants };
  const kept = await keepRoute(route);
  expect(kept).toMatchObject({ ok: true });
  const { printers } = await loadProof('1', { size: SIZE });
  expect(printers).toEqual(['own printer', name]);
  expect(await send({ route: 'Marrow & Daughter' })).toMatchObject({
    ok: false,
    fields: { route: expect.stringContaining('“Marrow & Daughter” is no route') },
  });
  // A route that is printed here is the own printer, and stands first.
  const own = { ...route, name: 'Pigment desk', kind: 'ownPrinter', inkSet: 'eight inks' };
  expect(await keepRoute(own)).toMatchObject({ ok: true });
  expect((await loadProof('1', { size: SIZE })).printers).toEqual(['Pigment desk', name]);
  expect(await send()).toMatchObject({ ok: false });
});

it('a verdict stands', async () => {
  const { reference } = await loadProof('1', { size: SIZE });
  expect(await judge(reference!)).toMatchObject({
    ok: false,
    message: expect.stringContaining('judged already; its verdict stands'),
  });
  expect(await judge(99)).toMatchObject({
    message: 'This round is not there. Open the proof station anew.',
  });
});

it('says what the next round is to try, or is told so', async () => {
  const round = idOf(await send({ route: 'Pigment desk' }));
  expect(await judge(round, { toChange: '' })).toMatchObject({
    ok: false,
    fields: { toChange: 'To change: is empty. Say what the next round tries.' },
  });
  expect((await loadProof('1', { size: SIZE })).out).toMatchObject({ id: round });
});

it.each([
  [{ paperId: '99', route: 'Pigment desk' }, 'paperId'],
  [{ cost: 'much' }, 'cost'],
  [{ sentOn: '2026-13-40' }, 'sentOn'],
  [{ route: '' }, 'route'],
])('refuses %j at its field', async (over, field) => {
  expect(await send(over as Record<string, string>)).toMatchObject({
    ok: false,
    fields: { [field]: expect.any(String) },
  });
});

it('what the rounds have cost goes into the price, spread over the edition', async () => {
  const { start } = await loadPrice('1', { size: SIZE });
  // 12.50 and 9.00, and the 12.50 of the round that is still out.
  expect(start).toMatchObject({ proofs: 3400, expectedImpressions: 30 });
  const { parts } = reckonPrice(start).cost;
  expect(parts.find((c) => c.part === 'proofs')!.amount).toBe(113);
});

it('takes the day on which a lab says it leaves, of the newest errand with that file', () => {
  const errand = (to: string, file: string, sentOn: string | null) => ({
    manifest: {
      errand: 'H-0001',
      from: '',
      to,
      on: '2026-11-02',
      items: [{ file }],
    } as never,
    answer: sentOn && { sentOn },
  });
  const errands = [
    errand('Tidewrack', 'b.tif', null),
    errand('Tidewrack', 'a.tif', '2026-11-09'),
    errand('Tidewrack', 'a.tif', '2026-10-09'),
  ];
  expect(promisedBack(errands, 'Tidewrack', 'a.tif')).toBe('2026-11-09');
  expect(promisedBack(errands, 'Tidewrack', 'b.tif')).toBeNull();
  expect(promisedBack(errands, 'own printer', 'a.tif')).toBeNull();
});

describe('several in one sending, and what a customer says', () => {
  const rows = () =>
    here.rows<{ id: number; paper_id: number; sending: string | null }>(
      'SELECT id, paper_id, sending FROM proof_round ORDER BY id',
    );

  it('are noted together, or none of them', async () => {
    const second = await addPaper(here);
    const before = await rows();
    const along = (paperId: number) => JSON.stringify([{ file: '', paperId }]);
    const to = { route: 'Pigment desk', paperId: String(second) };
    expect(await send({ ...to, too: along(999) })).toMatchObject({
      ok: false,
      fields: { paperId: expect.any(String) },
    });
    // The first paper has a round that is still out.
    expect(await send({ ...to, too: along(1) })).toMatchObject({ ok: false });
    expect(await rows()).toEqual(before);
    const third = await addPaper(here);
    expect(await send({ ...to, too: along(third) })).toMatchObject({ ok: true });
    const [one, other] = (await rows()).slice(-2);
    expect([one!.paper_id, other!.paper_id]).toEqual([second, third]);
    expect(one!.sending).not.toBeNull();
    expect(other!.sending).toBe(one!.sending);
  });

  it('is noted beside the round, and told in the log', async () => {
    const { out } = await loadProof('1', { size: SIZE });
    const of = { workId: '1', roundId: String(out!.id), sentOn: '2026-11-05' };
    expect(
      await noteCustomer({ ...of, agreed: 'do not agree', said: 'too warm' }),
    ).toMatchObject({ ok: true });
    expect(
      await noteCustomer({ ...of, roundId: '999', agreed: 'agree', said: '' }),
    ).toMatchObject({ ok: false });
    const { customers } = await loadProof('1', { size: SIZE });
    expect(customers).toMatchObject([
      { roundId: out!.id, agreed: false, said: 'too warm' },
    ]);
    const [line] = await here.rows<{ what: string }>(
      'SELECT what FROM log_line ORDER BY id DESC LIMIT 1',
    );
    expect(line!.what).toBe('proof.notAgreed');
  });
});

it('a profile is of its printer: another printer’s is never taken for it', () => {
  const use = (printer: string, setting: string, sha256: string) => ({
    ...{ paperId: 1, paper: 'Linen 300', profile: '', space: 'RGB' as const, at: '' },
    printer,
    setting,
    standIn: false,
    sha256,
  });
  const inUse = [use('', 'matte', 'own'), use('Tidewrack', '', 'lab')];
  const routes = [
    { name: 'Tidewrack', kind: 'onlineLab' as const },
    { name: 'Marrow', kind: 'onlineLab' as const },
    { name: 'Pigment desk', kind: 'ownPrinter' as const },
  ];
  const of = (route: string, paperId = 1) =>
    profileFor(inUse, { paperId, route, setting: 'matte' }, routes)?.sha256 ?? null;
  expect(of('Tidewrack')).toBe('lab');
  expect(of('Marrow')).toBeNull();
  expect([of('own printer'), of('Pigment desk')]).toEqual(['own', 'own']);
  expect(of('Tidewrack', 2)).toBeNull();
});
