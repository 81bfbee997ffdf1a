import assert from 'node:assert/strict';
import { STATIONS } from '@/core/work';
import type { Attack } from './attack';
import { SENT } from '../support/proofs';
import type { StudioServer } from '../support/studioServer';

const NASTY = [
  '9007199254740993',
  '-1',
  'Infinity',
  'NaN',
  '1e999',
  '%00',
  '..%2f..%2fetc%2fpasswd',
  '%ff',
  "1'%20OR%201=1",
  'a'.repeat(4000),
  '\ud7ff',
];

const status = async (server: StudioServer, path: string): Promise<number> =>
  (await fetch(`${server.url}${path}`, { redirect: 'manual' })).status;

const hash = 'a'.repeat(64);
/** Every address that is answered, with a place for what is nasty. */
const ADDRESSES = [
  ...[...STATIONS, 'edit'].map((place) => `/works/#/${place}`),
  '/works/1/size?size=#&fit=#&border=#&cut=#',
  '/works/1/prepare?size=#&sheet=#',
  '/works?find=#&page=#&sort=#',
  '/orders?find=#&page=#&sort=#',
  '/orders/#',
  '/orders/customers?page=#',
  '/papers?find=#&page=#',
  '/materials?page=#',
  '/editions?find=#&page=#&code=#',
  '/proofs?page=#',
  '/log?find=#&from=#&to=#&page=#&entry=#',
  '/accounts?month=#&year=#',
  '/api/find?find=#',
  '/api/log?form=#&find=#',
  ...['documents', 'jobs', 'print-files', 'sheet-files', 'size-sheets'].map(
    (route) => `/api/${route}/#`,
  ),
  '/api/looks/#',
  '/api/looks/1?left=#&top=#&width=#&height=#&size=#&factor=#',
  '/api/patches/#?left=#&top=#&right=#&bottom=#&rule=#&intent=#&blackPoint=#',
  '/api/patches/1?left=#&top=#&right=#&bottom=#&rule=2&intent=relative&blackPoint=yes',
  '/api/patch-colours/1?target=#&intent=#&blackPoint=#&rule=#&channels=#',
  '/api/rule-change/#?size=#&recipe=#',
  '/api/proposals/1?width=#&height=#',
  '/api/sheets/1?size=#&form=#&border=#',
  '/api/previews/#',
  '/api/extremes/#',
  '/api/photograph/#',
  `/api/tiles/${hash}/#/#`,
  '/api/tiles/#/1/0_0.jpg',
];

export const valueAttacks: Attack[] = [
  {
    name: 'no address, whatever stands in it, is answered with a fault of the server',
    quick: true,
    async run({ own }) {
      const faults: string[] = [];
      let asked = 0;
      for (const address of ADDRESSES)
        for (const nasty of NASTY) {
          const path = address.replaceAll('#', nasty);
          asked += 1;
          const found = await status(own, path);
          if (found >= 500) faults.push(`${found} ${path.slice(0, 90)}`);
        }
      assert.deepEqual(faults, []);
      return `${asked} addresses`;
    },
  },
  {
    name: 'what is typed into a number field cannot hold the server up',
    quick: true,
    async run({ own }) {
      const nasty = `${'1 '.repeat(90_000)}x`;
      const began = performance.now();
      const answer = await own.action(
        '/works/1/price',
        'src/stations/price/actions.ts',
        'keepPrice',
        {
          workId: '1',
          sizeKey: 'metricFrames-30x40',
          printing: nasty,
          hours: nasty,
          margin: nasty,
          commission: nasty,
        },
      );
      assert.equal(answer?.ok, false);
      assert.match(
        Object.values((answer as { fields: Record<string, string> }).fields).join(' '),
        /characters are too many to be read/,
      );
      return `answered after ${(performance.now() - began).toFixed(0)} ms`;
    },
  },
  {
    name: 'an identifier beyond what programs tell apart, and a size of no list, are not written down',
    quick: true,
    async run({ own }) {
      const before = await own.rows('SELECT count(*) AS n FROM price');
      for (const over of [
        { workId: '9007199254740993' },
        { workId: '777' },
        { sizeKey: 'zzz' },
      ]) {
        const answer = await own.action(
          '/works/1/proof',
          'src/stations/proof/actions.ts',
          'sendProof',
          {
            ...SENT,
            workId: '1',
            sizeKey: 'metricFrames-30x40',
            paperId: '1',
            route: 'own printer',
            sentOn: '2026-11-02',
            cost: '0',
            remarks: '',
            ...over,
          },
        );
        assert.equal(answer?.ok, false, JSON.stringify(over));
      }
      assert.deepEqual(await own.rows('SELECT id FROM proof_round'), []);
      assert.deepEqual(await own.rows('SELECT count(*) AS n FROM price'), before);
      assert.equal(await status(own, '/works/1/proof'), 200);
      assert.equal(await status(own, '/api/export'), 200);
      return 'nothing written, views and export answer';
    },
  },
];
