/** Set-up shared by the commands: what is missing is installed, nothing else is touched. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';

/** The server with its gate, as the build leaves it: starts in half the time of its source. */
export const SERVER = '.next/glassine-server.mjs';

const MARK = 'node_modules/.glassine';

export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { stdio: 'inherit', ...options });
  if (done.error) throw done.error;
  if (done.status !== 0) {
    console.error(
      `\n${command} ${args.join(' ')} ended with ${done.status ?? done.signal}`,
    );
    process.exit(done.status ?? 1);
  }
}

const hashOf = (...files) => {
  const hash = createHash('sha256');
  for (const file of files) hash.update(readFileSync(file));
  return hash.digest('hex');
};

/** The same, not waited for; other things are installed meanwhile. */
const runs = (command, args, options = {}) =>
  new Promise((done) => {
    const child = spawn(command, args, { stdio: 'inherit', ...options });
    child.on('error', (error) => {
      throw error;
    });
    child.on('close', (status) => {
      if (status === 0) return done();
      console.error(`\n${command} ${args.join(' ')} ended with ${status}`);
      process.exit(status ?? 1);
    });
  });

/** Installs the locked packages when they are not there or the lock has changed. */
export async function packages() {
  const wanted = hashOf('package-lock.json');
  if (existsSync(MARK) && readFileSync(MARK, 'utf8') === wanted) return;
  console.error('Installing packages …');
  await runs('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund'], {
    stdio: ['inherit', process.stderr, 'inherit'],
  });
  writeFileSync(MARK, wanted);
}

function* sources(folder) {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) yield* sources(path);
    else yield path;
  }
}

/** Builds the application unless the present build is of these very sources. */
export async function build() {
  const files = [
    ...sources('src'),
    'next.config.mjs',
    ...sources('scripts'),
    'package.json',
    'package-lock.json',
    'tsconfig.json',
  ].sort();
  const wanted = hashOf(...files);
  const mark = '.next/glassine-build';
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
  console.error('Building …');
  const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };
  // Its words are not those of a command that is asked for figures.
  const stdio = ['inherit', process.stderr, 'inherit'];
  const child = spawn('npm', ['run', '--silent', 'build'], { stdio, env });
  const status = await new Promise((done) => child.on('close', done));
  if (status !== 0) {
    console.error(`\nThe build ended with ${status}`);
    process.exit(status ?? 1);
  }
  mkdirSync('.next', { recursive: true });
  writeFileSync(mark, wanted);
}

/** Installs Debian packages that are not there. */
export async function debian(wanted) {
  const missing = Object.entries(wanted)
    .filter(([, path]) => !existsSync(path))
    .map(([name]) => name);
  if (missing.length === 0) return;
  console.log(`Installing ${missing.join(', ')} …`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    return runs(command, rest, {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  await apt('update', '-qq');
  await apt('install', '-y', '-qq', '--no-install-recommends', ...missing);
}

// `npm run setup`: all of it, so that whoever runs the program later has nothing to write here.
if (process.argv[1]?.endsWith('setup.mjs')) {
  await packages();
  await build();
}
