import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FolderHeld, holdFolder, letGo, whoHolds } from './hold';

const AT = '2026-11-02T10:00:00.000Z';

let home: string;
beforeEach(() => {
  home = mkdtempSync(join(tmpdir(), 'glassine-hold-'));
});
afterEach(() => rmSync(home, { recursive: true }));

/** Another process that holds the folder until it is killed. */
async function another(what: 'server' | 'command') {
  const program = join(home, 'holds.mts');
  writeFileSync(
    program,
    `import { holdFolder } from '${process.cwd()}/src/data/hold.ts';
     await holdFolder('${home}', '${what}', '${AT}');
     console.log('holds it');
     setInterval(() => undefined, 1000);`,
  );
  const child = spawn(process.execPath, ['--import', 'tsx', program]);
  await once(child.stdout, 'data');
  return {
    pid: child.pid,
    async kill() {
      child.kill('SIGKILL');
      await once(child, 'exit');
    },
  };
}

it('a folder is of one server; who is told that it is held is told by whom', async () => {
  const other = await another('server');
  const error = await holdFolder(home, 'server', AT).catch((e: unknown) => e as FolderHeld);
  expect(error).toBeInstanceOf(FolderHeld);
  expect((error as FolderHeld).holder).toMatchObject({ pid: other.pid, since: AT });
  expect((error as FolderHeld).message).toContain(`process ${other.pid}`);
  expect(await whoHolds(home, 'server')).toMatchObject({ pid: other.pid });
  // A command has a place of its own beside it.
  expect(await whoHolds(home, 'command')).toBeNull();
  await holdFolder(home, 'command', AT);
  // Killed, it leaves nothing that holds.
  await other.kill();
  expect(await whoHolds(home, 'server')).toBeNull();
  await holdFolder(home, 'server', AT);
  await holdFolder(home, 'server', AT);
  expect(await whoHolds(home, 'server')).toMatchObject({ pid: process.pid });
  for (const what of ['server', 'command'] as const) letGo(home, what);
  expect(await whoHolds(home, 'server')).toBeNull();
});
