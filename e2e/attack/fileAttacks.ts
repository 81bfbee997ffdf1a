import assert from 'node:assert/strict';
import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { StudioServer } from '../support/studioServer';
import type { Attack } from './attack';
import { idle } from './idle';
import { mostMemory } from './raw';

const strip = (width: number, height: number) =>
  sharp({
    create: { width, height, channels: 3, background: '#8a7' },
    limitInputPixels: false,
  })
    .png({ compressionLevel: 9 })
    .toBuffer();

const upload = async (server: StudioServer, name: string, body: Uint8Array) => {
  const response = await fetch(`${server.url}/api/masters?work=1&name=${name}`, {
    method: 'PUT',
    body: new Uint8Array(body),
  });
  return (await response.json()) as { ok: boolean; message?: string };
};

export const fileAttacks: Attack[] = [
  {
    name: 'a second server on the same folder does not start, and says who is there',
    quick: true,
    async run({ own }) {
      const second = new StudioServer(own.home, own.port + 40);
      const end = await second.start().then(
        () => 'it started',
        (error: Error) => error.message,
      );
      await second.kill();
      assert.match(end, new RegExp(`process ${own.pid} on `));
      return 'refused';
    },
  },
  {
    name: 'a strip of 4 000 000 pixels is refused, and the longest that is taken stays in memory',
    quick: false,
    async run({ own }) {
      const refused = await upload(own, 'strip.png', await strip(4_000_000, 1));
      assert.match(refused.message ?? '', /one edge has 4000000 pixels/);
      for (const [width, height] of [
        [65_535, 1],
        [1, 65_535],
        [65_535, 1500],
      ] as const)
        assert.deepEqual(await upload(own, 'strip.png', await strip(width, height)), {
          ok: true,
          name: 'strip.png',
        });
      await idle(own);
      const most = await mostMemory(own);
      assert.ok(most < 600, `${most} MB`);
      return `${most} MB at most`;
    },
  },
  {
    name: 'a backup folder inside the data folder is refused, so the next start sweeps none',
    quick: true,
    async run({ own }) {
      for (const inside of ['tmp', 'arrivals/x', 'files/../derived', '.']) {
        const folder = join(own.home, inside);
        const answer = await own.action(
          '/safekeeping',
          'src/drawers/safekeeping/actions.ts',
          'setBackupFolder',
          { folder },
        );
        assert.equal(answer?.ok, false, folder);
      }
      return 'refused';
    },
  },
  {
    name: 'two backups at once are one; it is kept over a kill and a start, and reads back',
    quick: true,
    async run({ own }) {
      const make = () =>
        own.action<number>(
          '/safekeeping',
          'src/drawers/safekeeping/actions.ts',
          'makeBackup',
          {},
        );
      const both = await Promise.all([make(), make()]);
      assert.deepEqual(both[0], both[1]);
      await idle(own);
      const folder = join(own.home, 'backups');
      const made = readdirSync(folder);
      assert.equal(made.length, 1);
      await own.kill();
      await own.start();
      assert.deepEqual(readdirSync(folder), made);
      const [job] = await own.rows("SELECT state FROM job WHERE kind = 'backup'");
      assert.equal(job!.state, 'done');
      return made[0]!;
    },
  },
  {
    name: 'on a network nobody names a file of the machine, nor learns what is there',
    quick: true,
    async run({ shared, passphrase }) {
      const entered = await fetch(`${shared.url}/enter`, {
        method: 'POST',
        redirect: 'manual',
        body: new URLSearchParams({ passphrase, next: '/' }),
      });
      const cookie = entered.headers.get('set-cookie')!.split(';')[0]!;
      const outside = join(shared.home, '..', 'outside');
      mkdirSync(outside, { recursive: true });
      writeFileSync(join(outside, 'there.tif'), 'II*\u0000');
      const answers = await Promise.all(
        ['there.tif', 'not-there.tif'].map(async (name) => {
          const path = join(outside, name);
          const answer = await shared.action(
            '/works/1/capture',
            'src/stations/capture/actions.ts',
            'takeNamedFile',
            { workId: '1', path },
            { cookie },
          );
          assert.equal(answer?.ok, false);
          return (answer as { message: string }).message.replaceAll(name, '#');
        }),
      );
      assert.equal(answers[0], answers[1]);
      assert.match(answers[0]!, /GLASSINE_ROOTS/);
      const folder = join(outside, 'backups');
      const set = await shared.action(
        '/safekeeping',
        'src/drawers/safekeeping/actions.ts',
        'setBackupFolder',
        { folder },
        { cookie },
      );
      assert.equal(set?.ok, false);
      assert.equal(existsSync(folder), false);
      rmSync(outside, { recursive: true });
      return 'refused alike';
    },
  },
];
