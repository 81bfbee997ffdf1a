import assert from 'node:assert/strict';
import { createHash } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { basename, join } from 'node:path';
import type { HandOverManifest } from '@/core/prepare';
import { writeMaster } from '../fixtures';
import { PACK, PREPARE, flatParts, parcelOf, printOrder } from '../support/errands';
import type { StudioServer } from '../support/studioServer';
import type { Attack } from './attack';
import { idle } from './idle';

const SIZE = 'metricFrames-30x40';
const MANY = 12;

const atOnce = <T>(run: (i: number) => Promise<T>, count = MANY): Promise<T[]> =>
  Promise.all(Array.from({ length: count }, (_, i) => run(i)));

const count = async (server: StudioServer, sql: string): Promise<number> =>
  Number((await server.rows(sql))[0]!.n);

/** Files of the store that no row names. */
async function unnamed(server: StudioServer): Promise<string[]> {
  const named = new Set<string>();
  for (const [table, column] of [
    ['document', 'sha256'],
    ['print_file', 'sha256'],
    ['file', 'sha256'],
  ])
    for (const { sha256 } of await server.rows<{ sha256: string }>(
      `SELECT ${column} AS sha256 FROM ${table}`,
    ))
      named.add(sha256);
  return readdirSync(join(server.home, 'files'), { recursive: true, encoding: 'utf8' })
    .map((path) => basename(path))
    .filter((name) => name.length === 64 && !named.has(name));
}

export const raceAttacks: Attack[] = [
  {
    name: 'a dozen who take a number at once get no number twice, and no more than there are',
    quick: true,
    async run({ own }) {
      const [edition] = await own.rows<{ id: number }>('SELECT id FROM edition');
      const given = () =>
        count(own, "SELECT count(*) AS n FROM ledger WHERE kind = 'assigned'");
      const before = await given();
      const answers = await atOnce(() =>
        own.action<string>(
          '/works/1/edition',
          'src/stations/edition/actions.ts',
          'assign',
          {
            editionId: String(edition!.id),
            sizeKey: SIZE,
            series: 'number',
            overruled: 'a test without proofs',
            requested: '',
          },
        ),
      );
      const labels = answers.flatMap((a) => (a?.ok ? [a.value] : []));
      assert.equal(new Set(labels).size, labels.length);
      assert.equal(await given(), before + labels.length);
      for (const refused of answers.filter((a) => !a?.ok))
        assert.match((refused as { message: string }).message, /\w{3}/);
      assert.ok(labels.length > 0 && labels.length < MANY);
      return `${labels.join(', ')}; ${MANY - labels.length} were told why not`;
    },
  },
  {
    name: 'of eight who seal one parcel at once one has it, and nothing of the others stays',
    quick: false,
    async run({ own }) {
      const [order] = await own.rows<{ number: string }>(
        'SELECT number FROM orders LIMIT 1',
      );
      const { number } = order!;
      const { parcel, line } = await parcelOf(own, number);
      const step = (name: string, typed: Record<string, string>) =>
        own.action(`/orders/${number}`, PACK, name, {
          order: number,
          parcel: String(parcel),
          ...typed,
        });
      for (const times of ['first', 'second'])
        for (const part of await flatParts(own, line))
          assert.ok((await step('tickPart', { part, count: times, on: 'yes' }))?.ok);
      assert.ok((await step('weigh', { grams: '' }))?.ok);
      const seals = await atOnce(
        () =>
          step('seal', { carrier: 'Lantern Post', service: 'flat, tracked', cost: '500' }),
        8,
      );
      assert.equal(seals.filter((a) => a?.ok).length, 1);
      const ended = (kind: string) =>
        count(own, `SELECT count(*) AS n FROM booking_event WHERE kind = '${kind}'`);
      assert.equal(await ended('kept'), 1);
      assert.equal(
        1 + (await ended('voided')),
        await count(own, 'SELECT count(*) AS n FROM booking'),
      );
      assert.deepEqual(await unnamed(own), []);
      return `${await count(own, 'SELECT count(*) AS n FROM document')} documents, each named by a row`;
    },
  },
  {
    name: 'a dozen hand-overs at once each have their own folder, and in it what they say',
    quick: false,
    async run({ own }) {
      const path = await writeMaster('raced.tif', 900, 1200);
      const url = `${own.url}/api/masters?work=1&name=raced.tif`;
      // Brought six times at once, it is there once.
      const brought = await atOnce(
        async () => (await fetch(url, { method: 'PUT', body: readFileSync(path) })).status,
        6,
      );
      assert.ok(brought.every((status) => status < 300 || status === 409));
      await idle(own);
      assert.equal(await count(own, 'SELECT count(*) AS n FROM master'), 1);
      const written = await own.action(
        '/works/1/prepare',
        PREPARE,
        'orderPrintFiles',
        printOrder(1, SIZE, 72),
      );
      assert.ok(written?.ok);
      await idle(own);
      const [file] = await own.rows<{ id: number; sha256: string }>(
        'SELECT id, sha256 FROM print_file',
      );
      const hand = <T>(name: string, typed: Record<string, string>) =>
        own.action<T>(
          '/works/1/prepare',
          'src/stations/prepare/handOverActions.ts',
          name,
          typed,
        );
      const route = await hand<number>('keepRoute', {
        name: 'Tidewrack Print Rooms',
        kind: 'onlineLab',
        folder: '',
        inkSet: '',
        leastPpi: '72',
        target: 'srgb',
        press: '',
        bits: '8',
        format: 'tiff',
      });
      assert.ok(route?.ok);
      const items = [{ printFileId: file!.id, paperId: null, quantity: 1, remarks: '' }];
      const typed = {
        workId: '1',
        routeId: String(route.value),
        items: JSON.stringify(items),
      };
      const answers = await atOnce(() => hand<number>('handOverFiles', typed));
      assert.ok(answers.every((a) => a?.ok));
      await idle(own);
      const errands = await own.rows<{ number: string; folder: string; manifest: string }>(
        'SELECT number, folder, manifest FROM errand',
      );
      assert.equal(new Set(errands.map((e) => e.number)).size, MANY);
      assert.equal(new Set(errands.map((e) => e.folder)).size, MANY);
      for (const { folder, manifest } of errands) {
        const { items: said } = JSON.parse(manifest) as HandOverManifest;
        for (const { file: name, sha256 } of said) {
          const bytes = readFileSync(join(folder, name));
          assert.equal(createHash('sha256').update(bytes).digest('hex'), sha256);
          assert.equal(sha256, file!.sha256);
        }
      }
      return `${errands.length} folders, each file with the checksum of its manifest`;
    },
  },
];
