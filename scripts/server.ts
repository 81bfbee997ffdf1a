/** Serves the built application behind its gate: on this machine only, unless told otherwise. */
import { accessSync, constants, existsSync, mkdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { hostname, networkInterfaces } from 'node:os';
import { join, resolve } from 'node:path';
import next from 'next';
import { guard, keepPassphrase, noUpgrades, openGate } from '../src/gate';
import type { KeptPassphrase } from '../src/gate';
import { FolderHeld, holdFolder } from '../src/data/hold';
import { refuseNewerFolder } from '../src/data/version';

const home = resolve(process.env.GLASSINE_HOME ?? './var');
const host = process.env.GLASSINE_BIND ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4173);
const network = !['127.0.0.1', 'localhost', '::1'].includes(host);

function stop(words: string): never {
  console.error(`\n${words}\n`);
  process.exit(1);
}

/** Why the data folder cannot be used; null when it can. */
function unusable(): string | null {
  try {
    mkdirSync(home, { recursive: true });
    accessSync(home, constants.R_OK | constants.W_OK);
    return null;
  } catch (error) {
    return `Glassine cannot write to its data folder ${home} (${(error as NodeJS.ErrnoException).code}).\nCheck its permissions and whether its disk is mounted for writing, or set GLASSINE_HOME to another folder.`;
  }
}

async function passphraseOf(): Promise<KeptPassphrase | null> {
  const given = process.env.GLASSINE_PASSPHRASE;
  // Not handed on to anything this process starts.
  delete process.env.GLASSINE_PASSPHRASE;
  if (given !== undefined)
    return keepPassphrase(given).catch((error: Error) => stop(error.message));
  const kept = join(home, 'access.json');
  if (existsSync(kept)) return JSON.parse(readFileSync(kept, 'utf8')) as KeptPassphrase;
  return null;
}

const problem = unusable();
if (problem) stop(problem);
await holdFolder(home, 'server', new Date().toISOString()).catch((error: Error) =>
  stop(
    error instanceof FolderHeld
      ? `Another Glassine serves this data folder: ${error.message}.\nUse that one, or stop it first; or set GLASSINE_HOME to another folder.`
      : `Glassine cannot hold its data folder ${home}: ${error.message}`,
  ),
);
await refuseNewerFolder(home).catch((error: Error) => stop(error.message));
const passphrase = await passphraseOf();
if (network && passphrase === null)
  stop(
    `GLASSINE_BIND=${host} would let other machines in, and this studio has no passphrase.\n` +
      'Set one with:  npx glassine passphrase\n' +
      'or start with GLASSINE_PASSPHRASE set. Without GLASSINE_BIND only this machine can ask.',
  );

const known = [hostname().toLowerCase(), `${hostname().toLowerCase()}.local`];
const mayPass = openGate({
  network,
  known: network
    ? [
        ...known,
        ...(process.env.GLASSINE_HOSTS ?? '')
          .toLowerCase()
          .split(',')
          .map((name) => name.trim()),
      ].filter(Boolean)
    : [],
  passphrase,
  // Not the time of day: a clock that is set back must not lengthen a session.
  clock: () => performance.now(),
});

process.env.GLASSINE_HOME = home;
process.env.GLASSINE_GATED = '1';
if (network) process.env.GLASSINE_NETWORK = '1';
const app = next({ dev: false, dir: process.cwd(), hostname: host, port });
await app.prepare();
const handle = app.getRequestHandler();

const server = createServer(guard(mayPass, handle));
noUpgrades(server);
// Large files come in slowly; the guard gives a stalled one up after a minute without a byte.
server.requestTimeout = 0;
server.headersTimeout = 20_000;
server.on('error', (error: NodeJS.ErrnoException) =>
  stop(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken. Another Glassine may be running; or start with PORT=${port + 1}.`
      : `Glassine cannot listen on ${host}:${port}: ${error.message}`,
  ),
);
server.listen(port, host, () => {
  const addresses = Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((a) => !a.internal && a.family === 'IPv4')
    .map((a) => `http://${a.address}:${port}`);
  const where = ['0.0.0.0', '::'].includes(host)
    ? addresses.join('  ')
    : `http://${host}:${port}`;
  console.log(`\nGlassine: ${where}   data folder: ${home}   (Ctrl-C stops it)`);
  if (passphrase !== null && !network)
    console.log('It asks for the passphrase that was set, here too.');
  if (network)
    console.log(
      'It listens to the network and asks everyone for the passphrase. The connection is not encrypted: use it on a network you trust, or put a TLS proxy before it.',
    );
});

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close();
    server.closeAllConnections();
    process.exit(0);
  });
