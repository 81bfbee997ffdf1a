import { spawn } from 'node:child_process';
import { chmod, mkdir, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { LISTS, MOST_LISTED } from '@/app/lists';
import { csvText } from '@/documents';
import { SHORTEST, keepPassphrase } from '@/gate';
import { Stop, existing, homeOf } from './command';
import type { Command } from './command';

export const list: Command = {
  name: 'list',
  takes: 'DRAWER',
  does: `what is in a drawer: ${Object.keys(LISTS).join(', ')}`,
  flags: {
    json: { type: 'boolean', does: 'one JSON object a line, instead of CSV' },
    find: { type: 'string', does: 'only what is found under these words' },
  },
  words: [1, 1],
  async run([drawer = ''], flags) {
    if (!Object.hasOwn(LISTS, drawer))
      throw new Stop(
        `There is no drawer “${drawer}”. Name one of ${Object.keys(LISTS).join(', ')}.`,
      );
    await existing(flags, false);
    const find = typeof flags.find === 'string' ? flags.find : undefined;
    const { heads, rows } = await LISTS[drawer]!({ find }, MOST_LISTED);
    if (flags.json)
      for (const row of rows)
        console.log(JSON.stringify(Object.fromEntries(heads.map((h, i) => [h, row[i]]))));
    else process.stdout.write(csvText([heads, ...rows]));
  },
};

/** A line that is typed and not shown; where nobody types, the line that comes in. */
async function typedUnseen(asked: string): Promise<string> {
  const shown = process.stdin.isTTY === true;
  if (shown) process.stderr.write(asked);
  const silent = new Writable({ write: (_part, _encoding, done) => done() });
  const reader = createInterface({ input: process.stdin, output: silent, terminal: shown });
  const typed = await reader.question('');
  reader.close();
  if (shown) process.stderr.write('\n');
  return typed;
}

export const passphrase: Command = {
  name: 'passphrase',
  takes: '',
  does: 'sets the passphrase that a network needs; what is typed is not shown',
  words: [0, 0],
  async run(_words, flags) {
    const typed = await typedUnseen(`Passphrase, at least ${SHORTEST} characters: `);
    const kept = await keepPassphrase(typed);
    if (process.stdin.isTTY && (await typedUnseen('The same once more: ')) !== typed)
      throw new Stop('These were two different ones. Nothing was changed.');
    const path = join(homeOf(flags), 'access.json');
    await mkdir(dirname(path), { recursive: true });
    await writeFile(path, JSON.stringify(kept));
    await chmod(path, 0o600);
    console.log(`Kept in ${path} as a salted key. Start Glassine again to use it.`);
  },
};

export const serve: Command = {
  name: 'serve',
  takes: '',
  does: 'serves the studio; builds it first where that was not done',
  flags: {
    port: { type: 'string', does: 'where it listens; 4173 where none is said' },
  },
  words: [0, 0],
  run: (_words, flags) =>
    new Promise((done) => {
      const server = spawn(process.execPath, ['scripts/serve.mjs'], {
        stdio: 'inherit',
        cwd: process.env.GLASSINE_ROOT,
        env: {
          ...process.env,
          GLASSINE_HOME: homeOf(flags),
          ...(typeof flags.port === 'string' ? { PORT: flags.port } : {}),
        },
      });
      for (const signal of ['SIGINT', 'SIGTERM'] as const)
        process.on(signal, () => server.kill(signal));
      server.on('exit', (code) => {
        process.exitCode = code ?? 0;
        done();
      });
    }),
};
