/**
 * Holds the built application under the versions of Node that are promised beside the one that
 * runs this: a studio is served, a picture taken in beside it and
 * read, a drawer listed. Each comes
 * from npm as the program alone.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const VERSIONS = [22, 24];
const PORT = 4168;

/** The program of a version, fetched where it is not there yet; null where it cannot be had. */
function programOf(version) {
  const folder = resolve(`test-results/nodes/${version}`);
  const name = `node-${process.platform}-${process.arch}`;
  const program = join(folder, 'node_modules', name, 'bin/node');
  if (existsSync(program)) return program;
  mkdirSync(folder, { recursive: true });
  const flags = ['--no-audit', '--no-fund', '--no-save', '--silent'];
  const fetched = spawnSync(
    'npm',
    ['install', '--prefix', folder, ...flags, `${name}@${version}`],
    { stdio: ['ignore', 'inherit', 'inherit'] },
  );
  return fetched.status === 0 && existsSync(program) ? program : null;
}

const pause = (ms) => new Promise((done) => setTimeout(done, ms));

async function until(what, found) {
  for (let i = 0; i < 600; i += 1) {
    const answer = await found().catch(() => null);
    if (answer) return answer;
    await pause(200);
  }
  throw new Error(`${what}: waited in vain`);
}

/** What went wrong under a program; throws. */
async function held(program) {
  const home = mkdtempSync(join(tmpdir(), 'glassine-node-'));
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    GLASSINE_HOME: home,
    GLASSINE_AS_BUILT: '1',
    PORT: String(PORT),
  };
  const server = spawn(program, ['.next/glassine-server.mjs'], { env });
  let said = '';
  for (const stream of [server.stdout, server.stderr])
    stream.on('data', (text) => (said += String(text)));
  try {
    const at = `http://127.0.0.1:${PORT}`;
    await until('the server', async () => {
      if (server.exitCode !== null) throw new Error(said);
      const answer = await fetch(at);
      return answer.ok && /A first day/.test(await answer.text());
    });
    const scan = join(home, 'scan.tif');
    const paint = `import('sharp').then(({ default: sharp }) => sharp({ create: { width: 900, height: 600,
      channels: 3, background: '#8090a0' } }).tiff().withMetadata({ density: 300 }).toFile(${JSON.stringify(scan)}))`;
    const run = (args) => {
      const done = spawnSync(program, args, { env, encoding: 'utf8' });
      if (done.status !== 0) throw new Error(`${args.join(' ')}: ${done.stderr}`);
      return done.stdout;
    };
    run(['--input-type=module', '-e', paint]);
    // Beside the server that is at work.
    run(['scripts/bin.mjs', 'intake', scan]);
    const listed = run(['scripts/bin.mjs', 'list', 'works', '--json']);
    if (JSON.parse(listed.split('\n')[0]).title !== 'Scan')
      throw new Error(`listed: ${listed}`);
    const read = JSON.parse(run(['scripts/bin.mjs', 'inspect', scan, '--json']));
    if (read.width !== 900) throw new Error(`read: ${JSON.stringify(read)}`);
  } finally {
    server.kill('SIGKILL');
    rmSync(home, { recursive: true, force: true });
  }
}

let failed = 0;
for (const version of VERSIONS) {
  const program = programOf(version);
  if (program === null) {
    console.log(`Node ${version}: not to be had for ${process.platform} ${process.arch}`);
    failed += process.platform === 'linux' && process.arch === 'x64' ? 1 : 0;
    continue;
  }
  const name = spawnSync(program, ['--version'], { encoding: 'utf8' }).stdout.trim();
  await held(program).then(
    () => console.log(`Node ${name}: serves, takes in, reads, lists`),
    (error) => {
      failed += 1;
      console.log(`Node ${name}: ${error.message}`);
    },
  );
}
process.exit(failed === 0 ? 0 : 1);
