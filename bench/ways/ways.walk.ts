/**
 * `npm run ways`: a size on its way to its file, a proof round, an order, as they run, from the
 * press to the last row. A hop is a call from one floor of the house to another; a function
 * called twice by one file is one hop. Prints them all; nothing is asserted.
 */
import { plainRecipe } from '@/core/prepare';
import { takeOrder } from '@/drawers/orders/actions';
import { seal, ship, weigh } from '@/drawers/orders/bench/parcelActions';
import { orderPrintFiles } from '@/stations/prepare/actions';
import { judgeProof, sendProof } from '@/stations/proof/actions';
import {
  SIZE,
  idle,
  inProcess,
  startRealWorkers,
  takePicture,
} from '../../e2e/support/inProcess';
import type { InProcess } from '../../e2e/support/inProcess';
import { samplesBy } from '../../e2e/support/master';
import { BACK, SENT } from '../../e2e/support/proofs';
import { layOutBench, tickAll } from '../../e2e/support/orderBench';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const noting = globalThis as unknown as { __calls: Set<string> | null };

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ numbered: 4, orders: 0 });
  startRealWorkers();
  const hills = (x: number, y: number, c: number) =>
    20000 + 12000 * Math.sin(x / 9 + c) + 9000 * Math.cos(y / 13);
  await takePicture(here, samplesBy(600, 800, hills));
});
afterAll(() => here.end());

/** `stations/proof` and `drawers/orders` are floors of their own: one calls no other. */
const floorOf = (file: string) =>
  /^(stations|drawers)\//.test(file)
    ? file.split('/').slice(0, 2).join('/')
    : file.split('/')[0]!;

/** A step that is well taken; while it runs, what is called is noted. */
async function noted<T>(
  calls: Set<string>,
  step: () => Promise<{ ok: true; value: T } | { ok: false; message: string }>,
  after: () => Promise<void> = () => Promise.resolve(),
): Promise<T> {
  noting.__calls = calls;
  const answer = await step();
  await after();
  noting.__calls = null;
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
}

function report(way: string, calls: Set<string>): void {
  const hops = [...calls].filter((call) => {
    const [from, to] = call.split(' -> ');
    return floorOf(from!) !== floorOf(to!);
  });
  const title = `${way}: ${hops.length} calls from floor to floor (${calls.size} from file to file)`;
  process.stdout.write(`\n${[title, ...hops].join('\n  ')}\n`);
}

it('a size to its file', async () => {
  const calls = new Set<string>();
  const recipe = JSON.stringify(plainRecipe(72, 0.8));
  const sizeKeys = JSON.stringify([SIZE]);
  const sent = { workId: '1', sizeKeys, recipe, recipeId: '', pair: '' };
  await noted(
    calls,
    () => orderPrintFiles(sent),
    () => idle(here.open),
  );
  report('A size to its file', calls);
});

it('a proof round', async () => {
  const calls = new Set<string>();
  const round = { workId: '1', sizeKey: SIZE, paperId: '1', route: 'own printer' };
  const sent = { ...SENT, ...round };
  const roundId = String(await noted(calls, () => sendProof(sent)));
  const back = { ...BACK, workId: '1', roundId, seen: 'as it should', toChange: '' };
  await noted(calls, () => judgeProof({ ...back, verdict: 'approved' }));
  report('A proof round', calls);
});

it('an order of one impression', async () => {
  const calls = new Set<string>();
  const item = `${here.editionId}:number:2:${SIZE}`;
  const line = { kind: 'impression', item, paperId: '1', quantity: '1', price: '85' };
  const none = { goods: '', mass: '', thickness: '', extras: '', wish: '', note: '' };
  const to = { name: 'Brede Marl', street: '4 Sluice Lane', town: '2180 Merrowstaithe' };
  const sent = { ...line, ...none, ...to, country: 'Ulverreach', channel: 'gallery' };
  const { number } = await noted(calls, () => takeOrder(sent));
  const bench = await layOutBench(number);
  await noted(calls, async () => {
    await tickAll(bench);
    return { ok: true, value: null };
  });
  await noted(calls, () => weigh({ ...bench.sent, grams: '' }));
  const label = { carrier: 'Lantern Post', service: 'flat, tracked', cost: '500' };
  await noted(calls, () => seal({ ...bench.sent, ...label }));
  await noted(calls, () => ship(bench.sent));
  report('An order of one impression', calls);
});
