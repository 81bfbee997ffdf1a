import { USUAL_FINISH } from '@/core/finish';
import { nominalSize } from '@/core/size';
import { mm } from '@/core/units';
import {
  addFinish,
  assignNumber,
  declareEdition,
  saveSettings,
  spoilImpression,
} from '@/data';
import { editRow } from '@/data';
import type { Studio } from '@/studio/open/open';
import { priceLists } from './priceLists';
import { crop, daysAgo, number, offer, price, printFile, proof } from './tradeSteps';
import { deliver } from './paperLots';
import { inkYear } from './inkYear';
import { lentAndPaid } from './lentAndPaid';
import { paperLives } from './paperLives';
import { sheetsToCut } from './sheetsToCut';
import { mixedOrders, order } from './orderSteps';
import type { Say } from './tradeSteps';
import { measuredRound } from './measuredRound';
import { photographedRound } from './photographedRound';
import { bench, errand, opinions, proofSheet } from './printBook';
import { CHANNELS, DELIVERIES, EDITIONS, OPEN_ORDERS } from './editions';
import type { EditionPlan } from './editions';
import { COTTON, CROPS, FILES, OFFERED, OWN_SIZES, PROOFS, SALT } from './year';

/** Something that happened, days ago. */
interface Step {
  days: number;
  run: () => Promise<unknown>;
}

/** A year of trade: sizes, files, proofs, editions, prices, orders, in the order of their days. */
export async function trade(
  open: Studio,
  works: Map<string, number>,
  papers: number[],
  say: Say,
) {
  const of = (name: string) => works.get(name)!;
  const paper = (place: number) => papers[place]!;
  await bench(open, [of('causeway')]);
  for (const { name, sizes, days } of OFFERED) await offer(open, of(name), sizes, days);
  for (const { name, ...plan } of CROPS) await crop(open, of(name), plan);
  await open.db.write((tx) => saveSettings(tx, { ownSizes: OWN_SIZES }));
  await Promise.all(
    [0, 1].map(async (lane) => {
      for (const [i, [name, key, space, days]] of FILES.entries()) {
        if (i % 2 !== lane) continue;
        await printFile(open, of(name), key, space, days);
        say(`  print file written and checked: ${name}, ${nominalSize(key)?.label}`);
      }
    }),
  );

  const steps: Step[] = DELIVERIES.map(([days, place, pieces]) => ({
    days,
    run: () => open.db.write((tx) => deliver(tx, paper(place), pieces, daysAgo(days, 9))),
  }));
  for (const { name, sizeKey, rounds } of PROOFS)
    for (const [i, r] of rounds.entries())
      steps.push({
        days: r.sent,
        run: () =>
          proof(open, of(name), sizeKey, {
            ...r,
            round: i + 1,
            paperId: paper(r.paper),
          }),
      });
  steps.push({ days: 70, run: () => discontinue(open, papers) });
  for (const [i, plan] of EDITIONS.entries()) steps.push(...lifeOf(plan, i));
  steps.sort((a, b) => b.days - a.days);
  for (const { run } of steps) await run();
  await framing(open, of('saltPans'));
  await mixedOrders(open, works, papers);
  await opinions(open);
  await priceLists(open);
  await proofSheet(open, of('saltPans'), ['metricFrames-50x70', 'metricFrames-70x100']);
  await measuredRound(open, of('saltPans'), paper(COTTON));
  await photographedRound(open, of('saltPans'));
  await errand(open, ['featherWeed', 'coiledLines'].map(of), paper(COTTON));
  await sheetsToCut(open, of, paper(COTTON));
  await paperLives(open, papers);
  await inkYear(open, say);
  await lentAndPaid(open);
  say('  a proof sheet written, files handed over, prints judged');
  const printed = EDITIONS.flatMap((e) => e.runs.map(([, n]) => n)).reduce((a, b) => a + b);
  const sold = EDITIONS.flatMap((e) => e.sold).length;
  say(`  ${printed} impressions numbered, ${sold + OPEN_ORDERS.length} orders taken`);

  /** One edition from its declaration to its last order. */
  function lifeOf(plan: EditionPlan, index: number): Step[] {
    const { name, sizeKey, declared } = plan;
    const workId = of(name);
    const paperId = paper(plan.paper);
    let editionId = 0;
    let asked = 0;
    let next = 0;
    const sell = (
      placed: number,
      upTo: 'placed' | 'counted' | 'weighedShort' | 'shipped',
      channel: string,
      nth: number,
    ): Step => ({
      days: placed,
      run: () =>
        order(
          open,
          {
            workId,
            sizeKey,
            paperId,
            editionId,
            impression: (next += 1),
            channel,
            price: asked,
            placed,
            upTo,
          },
          index * 5 + nth,
        ),
    });
    return [
      {
        days: declared,
        run: async () => {
          editionId = await open.db.write((tx) =>
            declareEdition(tx, {
              workId,
              sizeKey,
              declaration: {
                kind: plan.of === 0 ? 'open' : 'limited',
                scope: 'perSize',
                size: plan.of,
                artistsProofs: plan.artistsProofs,
              },
              at: daysAgo(declared, 14),
            }),
          );
          asked = await price(open, workId, sizeKey, plan.price, declared);
        },
      },
      ...plan.runs.map(([days, count], run) => ({
        days: days + 0.5,
        run: async () => {
          await number(open, editionId, sizeKey, count, days, paperId);
          const proofsNow = run === 0 ? (plan.proofsPrinted ?? 0) : 0;
          await number(open, editionId, sizeKey, proofsNow, days, paperId, 'ap');
        },
      })),
      ...(index === 0 ? [{ days: 236, run: () => printAgain(open, editionId) }] : []),
      ...plan.sold.map((placed, nth) =>
        sell(placed, 'shipped', CHANNELS[(index + nth) % CHANNELS.length]!, nth),
      ),
      ...OPEN_ORDERS.filter(([edition]) => edition === index).map(
        ([, placed, upTo, channel], nth) => sell(placed, upTo, channel, nth + 3),
      ),
    ];
  }
}

/** The rag is no longer made; the cotton takes its place. */
const discontinue = (open: Studio, papers: number[]) =>
  open.db.write((tx) =>
    editRow(
      tx,
      'paper',
      papers[4]!,
      { discontinuedAt: daysAgo(70, 12), replacementId: papers[COTTON]! },
      { at: daysAgo(70, 12), name: 'Estuary Rag' },
    ),
  );

/** A sheet that went wrong: torn up, and the same number printed again. */
async function printAgain(open: Studio, editionId: number) {
  await open.db.write((tx) =>
    spoilImpression(tx, {
      editionId,
      series: 'number',
      number: 12,
      reason: 'nozzle line through the sky, sheet torn up',
      at: daysAgo(236, 11),
    }),
  );
  await open.db.write((tx) =>
    assignNumber(tx, {
      editionId,
      series: 'number',
      requested: 12,
      sizeKey: SALT,
      at: daysAgo(236, 13),
    }),
  );
}

const framing = (open: Studio, workId: number) =>
  open.db.write((tx) =>
    addFinish(tx, {
      workId,
      sizeKey: SALT,
      values: {
        ...{ ...USUAL_FINISH, style: 'reveal', perSide: mm(12) },
        prices: {
          ...{ currency: 'EUR', moulding: 1150, glazing: 2400, board: 1300, backing: 700 },
          ...{ hardware: 180, hours: 0.6, every: false },
        },
      },
      at: daysAgo(92, 10),
    }),
  );
