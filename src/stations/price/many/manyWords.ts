import type { BatchExpected, DemandBecause } from '@/core/price';
import type { Format } from '@/shell/figures';
import type { ManyShown } from './manyShown';

type Said = Pick<Format, 'money' | 'number'>;

/** From what it is taken how many will be wanted, and why. */
export function demandWords(
  { because, demand, mean }: Pick<ManyShown, 'because' | 'demand' | 'mean'>,
  months: number,
  format: Pick<Format, 'number'>,
): string {
  const { sold, periods, model, ratio, limit } = because;
  const said = `${sold} ordered in ${periods} months`;
  if (demand.kind === 'threePoint')
    return model === 'tooLittle'
      ? `${said}: too little to tell. Three guesses take its place, ${format.number(mean, 1)} on average.`
      : `Your guesses, ${format.number(mean, 1)} on average; ${said}.`;
  const then = `${format.number(mean, 1)} are to be expected in ${months} months`;
  return model === 'clusters'
    ? `${said}, in clusters (${format.number(ratio, 1)} times as uneven as chance, ${format.number(limit, 1)} would be chance): ${then}, widely spread.`
    : `${said}, one by one as far as can be told: ${then}, as unsure as so few sales leave it.`;
}

/** Whether enough was sold to tell from it. */
export const tells = ({ model }: DemandBecause): boolean => model !== 'tooLittle';

/** How far it spreads: where all are sold nothing more can come of it. */
function spreadWords(
  { low, high, expectedProfit, off }: BatchExpected,
  money: (v: number) => string,
): string {
  if (high - low < 1)
    return off < 1 ? '; all of them are sold' : '; nine times in ten all of them are sold';
  const more = high > expectedProfit ? `, as often ${money(high)} or more` : '';
  return `; one time in ten ${money(low)} or less${more}`;
}

/** What the best batch leaves, and what less of it would cost. */
export function bestWords({ routes, capped }: ManyShown, format: Said): string {
  const [first] = routes;
  if (!first) return 'Nobody’s prices are known for this size.';
  const { best, half, route } = first;
  const money = (v: number) => format.money(Math.round(v));
  const loses =
    best.expectedProfit < 0
      ? `No batch pays: the least is lost with ${best.quantity} from ${route.prices.name}.`
      : `${best.quantity} from ${route.prices.name} leave ${money(best.expectedProfit)} on average${spreadWords(best, money)}.`;
  const less =
    half && half.loses > 0.5
      ? ` ${half.quantity} instead would leave ${money(half.loses)} less.`
      : '';
  const cap = capped === null ? '' : ' The edition has room for no more.';
  return `${loses}${less}${cap}`;
}

/** Whether a test print before the batch is worth its price; null where it cannot be had. */
export function testWords({ routes }: ManyShown, format: Said): string | null {
  const test = routes[0]?.test;
  if (!test || test.withTest === test.atOnce) return null;
  const differs = format.money(Math.abs(test.atOnce - test.withTest));
  const from =
    test.paysFrom === null
      ? 'it never pays'
      : test.paysFrom === 0
        ? 'nothing is paid twice for it'
        : `it pays where more than ${format.number(100 * test.paysFrom, 0)} % of first prints are wrong`;
  return test.withTest < test.atOnce
    ? `One first, then the rest: expected to save ${differs} (${from}).`
    : `One first, then the rest costs ${differs} more than it is expected to save (${from}).`;
}

/** By how many sales the best batch is paid on each channel, those alike together. */
export function perChannelWords({ perChannel }: Pick<ManyShown, 'perChannel'>): string {
  const counts = [...new Set(perChannel.map((c) => c.sold))].sort(
    (a, b) => (a ?? Infinity) - (b ?? Infinity),
  );
  const said = counts.map((sold) => {
    const where = perChannel.filter((c) => c.sold === sold).map((c) => c.channel);
    return `${sold === null ? 'never' : `by ${sold} sold`} through ${where.join(', ')}`;
  });
  return said.length === 0 ? '' : `The best batch is paid ${said.join('; ')}.`;
}
