import { nominalSize } from '@/core/sizing';
import { addFinish, assignNumber, declareEdition, spoilImpression } from '@/data';
import type { Studio } from '@/studio/open';
import { daysAgo, offer, printFile, proofs, price, number, order } from './tradeSteps';
import type { OrderSeed, Say } from './tradeSteps';

const SALT = 'metricFrames-50x70';
const SALT_SMALL = 'metricFrames-30x40';
const WEED = 'metricFrames-40x50';
const COILS = 'isoA-A3';
const BIRDS = 'isoA-A2';
const FOG = 'metricFrames-70x100';

/** Some months of trade: sizes, files, proofs, editions, prices, orders. */
export async function trade(
  open: Studio,
  works: Map<string, number>,
  papers: number[],
  say: Say,
) {
  const of = (name: string) => works.get(name)!;
  const [cotton, baryta, alpha, etching] = papers as [number, number, number, number];
  await offer(
    open,
    of('saltPans'),
    [
      [SALT_SMALL, 15, 'within'],
      [SALT, 25, 'within'],
      [FOG, 30, 'within'],
    ],
    130,
  );
  await offer(
    open,
    of('coiledLines'),
    [
      ['isoA-A4', 12, 'within'],
      [COILS, 20, 'within'],
    ],
    118,
  );
  await offer(open, of('featherWeed'), [[WEED, 20, 'within']], 104);
  await offer(
    open,
    of('causeway'),
    [
      ['metricFrames-50x70', 20, 'within'],
      [FOG, 25, 'fill'],
    ],
    80,
  );
  await offer(
    open,
    of('moonOverMere'),
    [
      ['metricFrames-13x18', 10, 'within'],
      ['metricFrames-24x30', 12, 'within'],
    ],
    50,
  );
  await offer(open, of('starlings'), [[BIRDS, 25, 'within']], 44);

  const files: [string, string, 'a98-rgb' | 'srgb', number][] = [
    ['saltPans', SALT, 'a98-rgb', 128],
    ['featherWeed', WEED, 'a98-rgb', 103],
    ['coiledLines', COILS, 'a98-rgb', 114],
    ['starlings', BIRDS, 'srgb', 32],
  ];
  await Promise.all(
    [0, 1].map(async (lane) => {
      for (const [i, [name, key, space, days]] of files.entries()) {
        if (i % 2 !== lane) continue;
        await printFile(open, of(name), key, space, days);
        say(`  print file written and checked: ${name}, ${nominalSize(key)?.label}`);
      }
    }),
  );

  await proofs(open, of('saltPans'), SALT, [
    {
      paperId: cotton,
      route: 'own printer',
      cost: 900,
      sent: 126,
      back: 125,
      seen: 'Pools greyer than the panel, shed roof a little brown.',
      toChange: 'Warm the midtones a touch, open the shadows of the shed.',
      verdict: 'changeAndRepeat',
    },
    {
      paperId: cotton,
      route: 'own printer',
      cost: 900,
      sent: 122,
      back: 121,
      remarks: 'midtones warmer, shadows opened',
      seen: 'Pinks of the pools agree; sky close enough to forget.',
      verdict: 'approved',
    },
  ]);
  await proofs(open, of('saltPans'), SALT_SMALL, [
    {
      paperId: cotton,
      route: 'own printer',
      cost: 600,
      sent: 98,
      back: 97,
      seen: 'As the large one.',
      verdict: 'approved',
    },
  ]);
  await proofs(open, of('featherWeed'), WEED, [
    {
      paperId: alpha,
      route: 'own printer',
      cost: 300,
      sent: 101,
      back: 101,
      seen: 'Blue too violet on alpha.',
      toChange: 'Try the cotton.',
      verdict: 'changeAndRepeat',
    },
    {
      paperId: cotton,
      route: 'own printer',
      cost: 800,
      sent: 99,
      back: 98,
      seen: 'Blue as deep as the cyanotype, filaments clean.',
      verdict: 'approved',
    },
  ]);
  await proofs(open, of('coiledLines'), COILS, [
    {
      paperId: etching,
      route: 'own printer',
      cost: 700,
      sent: 112,
      back: 111,
      seen: 'Lines hold, paper tone right.',
      verdict: 'approved',
    },
  ]);
  await proofs(open, of('causeway'), FOG, [
    {
      paperId: baryta,
      route: 'Weir Lane Print Room',
      cost: 2400,
      sent: 9,
      remarks: 'resolution proof for the enlargement',
    },
  ]);
  await proofs(open, of('starlings'), BIRDS, [
    {
      paperId: baryta,
      route: 'Weir Lane Print Room',
      cost: 1800,
      sent: 30,
      back: 21,
      seen: 'Dusk a little dark in the reeds, birds crisp.',
      verdict: 'approved',
    },
  ]);

  const declareAs = (
    name: string,
    sizeKey: string,
    size: number,
    artistsProofs: number,
    days: number,
  ) =>
    open.db.write((tx) =>
      declareEdition(tx, {
        workId: of(name),
        sizeKey,
        declaration: {
          kind: size === 0 ? 'open' : 'limited',
          scope: 'perSize',
          size,
          artistsProofs,
        },
        at: daysAgo(days, 14),
      }),
    );
  const salt = await declareAs('saltPans', SALT, 30, 3, 120);
  const saltSmall = await declareAs('saltPans', SALT_SMALL, 50, 5, 96);
  const weed = await declareAs('featherWeed', WEED, 12, 2, 96);
  const coils = await declareAs('coiledLines', COILS, 0, 0, 110);

  await price(
    open,
    of('saltPans'),
    SALT_SMALL,
    { printing: '5', paper: '3.20', step: '5' },
    96,
  );
  const saltPrice = await price(open, of('saltPans'), SALT, {}, 119);
  const weedPrice = await price(
    open,
    of('featherWeed'),
    WEED,
    { printing: '7', expectedImpressions: '12', margin: '55' },
    95,
  );
  const coilPrice = await price(
    open,
    of('coiledLines'),
    COILS,
    { printing: '4', paper: '7.20', expectedImpressions: '20', margin: '35' },
    109,
  );

  await number(open, salt, SALT, 14, 117, cotton);
  await number(open, salt, SALT, 1, 117, cotton, 'ap');
  await number(open, saltSmall, SALT_SMALL, 7, 90, cotton);
  await number(open, weed, WEED, 11, 94, cotton);
  await number(open, coils, COILS, 7, 108, etching);
  await open.db.write((tx) =>
    spoilImpression(tx, {
      editionId: salt,
      series: 'number',
      number: 9,
      reason: 'nozzle line through the sky, sheet torn up',
      at: daysAgo(100, 11),
    }),
  );
  await open.db.write((tx) =>
    assignNumber(tx, {
      editionId: salt,
      series: 'number',
      requested: 9,
      sizeKey: SALT,
      at: daysAgo(100, 13),
    }),
  );
  await open.db.write((tx) =>
    addFinish(tx, {
      workId: of('saltPans'),
      sizeKey: SALT,
      input: {
        style: 'reveal',
        perSide: '12 mm',
        offPrint: '1 mm',
        offMat: '1 mm',
        offFrame: '1 mm',
        sides: '60 mm',
        above: '60 mm',
        below: '75 mm',
        moulding: '20 mm',
        glass: '2 mm',
        glazing: 'glass',
      },
      at: daysAgo(92, 10),
    }),
  );

  const base = {
    saltPans: {
      workId: of('saltPans'),
      sizeKey: SALT,
      paperId: cotton,
      editionId: salt,
      price: saltPrice,
    },
    weed: {
      workId: of('featherWeed'),
      sizeKey: WEED,
      paperId: cotton,
      editionId: weed,
      price: weedPrice,
    },
    coils: {
      workId: of('coiledLines'),
      sizeKey: COILS,
      paperId: etching,
      editionId: coils,
      price: coilPrice,
    },
  };
  const seeds: OrderSeed[] = [
    { ...base.saltPans, impression: 1, channel: 'own site', placed: 88, upTo: 'shipped' },
    { ...base.weed, impression: 1, channel: 'own site', placed: 84, upTo: 'shipped' },
    { ...base.coils, impression: 1, channel: 'fair', placed: 71, upTo: 'shipped' },
    { ...base.weed, impression: 2, channel: 'gallery', placed: 63, upTo: 'shipped' },
    { ...base.saltPans, impression: 2, channel: 'own site', placed: 47, upTo: 'shipped' },
    { ...base.weed, impression: 3, channel: 'own site', placed: 33, upTo: 'shipped' },
    { ...base.coils, impression: 2, channel: 'own site', placed: 24, upTo: 'shipped' },
    { ...base.weed, impression: 4, channel: 'own site', placed: 16, upTo: 'shipped' },
    { ...base.saltPans, impression: 3, channel: 'own site', placed: 9, upTo: 'placed' },
    { ...base.weed, impression: 5, channel: 'own site', placed: 4, upTo: 'weighedShort' },
    { ...base.coils, impression: 3, channel: 'marketplace', placed: 2, upTo: 'counted' },
    { ...base.saltPans, impression: 4, channel: 'own site', placed: 1, upTo: 'placed' },
  ];
  for (const [i, seed] of seeds.entries()) await order(open, seed, i);
  say('  40 impressions numbered, 12 orders taken');
}
