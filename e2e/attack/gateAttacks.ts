import assert from 'node:assert/strict';
import type { Attack } from './attack';
import { opened, placeOf, said } from './raw';

const formPost = (host: string, path: string, bytes: number) => [
  `POST ${path} HTTP/1.1`,
  `Host: ${host}`,
  'Content-Type: application/x-www-form-urlencoded',
  `Content-Length: ${bytes}`,
];

export const gateAttacks: Attack[] = [
  {
    name: '300 requests to go over to another protocol are all cut off',
    quick: true,
    async run({ shared }) {
      const { host } = placeOf(shared);
      // The first request is what used to open the way.
      await said(shared, ['GET /enter HTTP/1.1', `Host: ${host}`]);
      const sockets = await Promise.all(
        Array.from({ length: 300 }, async () => {
          const socket = await opened(shared);
          const closed = new Promise((r) => socket.once('close', r));
          let heard = '';
          socket.on('data', (part) => (heard += String(part)));
          socket.write(
            `GET /_next/hmr HTTP/1.1\r\nHost: elsewhere.example\r\nConnection: Upgrade\r\nUpgrade: websocket\r\nSec-WebSocket-Version: 13\r\nSec-WebSocket-Key: AAAAAAAAAAAAAAAAAAAAAA==\r\n\r\n`,
          );
          await closed;
          return heard;
        }),
      );
      assert.deepEqual(new Set(sockets), new Set(['']));
      return `${sockets.length} sockets, none open, none answered`;
    },
  },
  {
    name: 'two Host lines, other methods and other targets are refused in words',
    quick: true,
    async run({ own }) {
      const { host } = placeOf(own);
      const asked = [
        ['GET /works HTTP/1.1', `Host: ${host}`, 'Host: elsewhere.example'],
        ['GET /works HTTP/1.1', 'Host: elsewhere.example', `Host: ${host}`],
        ['TRACE /works HTTP/1.1', `Host: ${host}`],
        ['OPTIONS * HTTP/1.1', `Host: ${host}`],
        ['GET * HTTP/1.1', `Host: ${host}`],
        ['PROPFIND / HTTP/1.1', `Host: ${host}`],
        ['GET http://elsewhere.example/ HTTP/1.1', `Host: ${host}`],
        ['GET //elsewhere.example/ HTTP/1.1', `Host: ${host}`],
        ['GET //: HTTP/1.1', `Host: ${host}`],
        ['CONNECT elsewhere.example:80 HTTP/1.1', `Host: ${host}`],
      ];
      for (const lines of asked) {
        const { status } = await said(own, lines);
        assert.ok(
          status === 0 || (status >= 400 && status < 500),
          `${lines[0]}: ${status}`,
        );
      }
      return `${asked.length} requests`;
    },
  },
  {
    name: 'what is sent to an action and cannot be read is refused in words',
    quick: true,
    async run({ own }) {
      const { host } = placeOf(own);
      const bodies = ['', '{', '{}', '[', '["$F1"]', '["$K1"]', '[{"a":"$@1"}]', '\u0000'];
      const seen: number[] = [];
      for (const type of [
        'text/plain',
        'multipart/form-data; boundary=x',
        'application/json',
      ])
        for (const body of bodies) {
          const { status, text } = await said(
            own,
            [
              'POST /works HTTP/1.1',
              `Host: ${host}`,
              'Next-Action: 40aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa',
              `Content-Type: ${type}`,
              `Content-Length: ${Buffer.byteLength(body)}`,
            ],
            { body },
          );
          seen.push(status);
          assert.ok(status >= 400 && status < 500, `${type} ${body}: ${status}`);
          assert.match(text, /\./);
        }
      const large = 'x'.repeat(1_100_000);
      const { status, text } = await said(
        own,
        [
          'POST /works HTTP/1.1',
          `Host: ${host}`,
          'Next-Action: 40',
          'Content-Type: text/plain',
          `Content-Length: ${large.length}`,
        ],
        { body: large },
      );
      assert.equal(status, 413);
      assert.match(text, /no form of this studio is that long/);
      return `${seen.length + 1} bodies`;
    },
  },
  {
    name: 'from many addresses together no more passphrases can be tried than from a few',
    quick: false,
    async run({ shared, passphrase }) {
      const { host } = placeOf(shared);
      const statuses: number[] = [];
      for (let i = 0; i < 70; i += 1) {
        const body = `passphrase=wrong-${i}&next=%2F`;
        const from = `127.0.1.${i + 1}`;
        const { status } = await said(shared, formPost(host, '/enter', body.length), {
          body,
          from,
        });
        statuses.push(status);
      }
      const tried = statuses.filter((s) => s === 401).length;
      assert.ok(tried <= 60, `${tried}`);
      assert.equal(statuses.filter((s) => s === 429).length, 70 - tried);
      const body = `passphrase=${encodeURIComponent(passphrase)}&next=%2F`;
      const right = await said(shared, formPost(host, '/enter', body.length), { body });
      assert.equal(right.status, 429);
      return `${tried} of 70 tries were looked at`;
    },
  },
  {
    name: 'an upload and a log-in that stall are given up within the minute or so',
    quick: false,
    async run({ own, shared }) {
      const began = Date.now();
      const stalls = [
        [
          own,
          [
            'PUT /api/masters?work=1&name=slow.tif HTTP/1.1',
            `Host: ${placeOf(own).host}`,
            'Content-Length: 1000000',
          ],
        ],
        [shared, formPost(placeOf(shared).host, '/enter', 500)],
      ] as const;
      await Promise.all(
        stalls.map(async ([server, lines]) => {
          const socket = await opened(server);
          socket.on('error', () => undefined);
          socket.resume();
          socket.write(`${lines.join('\r\n')}\r\n\r\nII*\u0000 passphrase=`);
          await Promise.race([
            new Promise((r) => socket.once('close', r)),
            new Promise((_, fail) =>
              setTimeout(() => fail(new Error('still open after 75 s')), 75_000),
            ),
          ]);
        }),
      );
      return `closed after ${((Date.now() - began) / 1000).toFixed(0)} s`;
    },
  },
];
