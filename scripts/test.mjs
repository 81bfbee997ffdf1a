/**
 * All tests: format, lint, types, unit tests, production build, browser tests. Ends with one
 * line over all of them, `N passed, N failed`; each check before the tests counts as one.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { build, debian, packages } from './setup.mjs';

await Promise.all([
  packages(),
  debian({
    chromium: '/usr/bin/chromium',
    'poppler-utils': '/usr/bin/pdftotext',
    'liblcms2-utils': '/usr/bin/transicc',
    'libgs-common': '/usr/share/color/icc/ghostscript/default_cmyk.icc',
  }),
]);

const total = { passed: 0, failed: 0 };
const note = (passed, failed) => {
  total.passed += passed;
  total.failed += failed;
};

/**
 * Runs a command. `live`: what it says is shown as it is said. Else when it has ended, in one
 * piece, and it gives way to the one that is live, which has people and clocks to wait for.
 */
const said = (name, args, live = false) =>
  new Promise((done) => {
    if (live) {
      console.log(`\n== ${name}`);
      spawn('npx', args, { stdio: 'inherit' }).on('close', done);
      return;
    }
    const command = args[0] === 'node' ? args : ['npx', ...args];
    const child = spawn('nice', ['-n', '19', ...command], {
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let words = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (part) => (words += part));
    child.on('close', (status) => {
      console.log(`\n== ${name}\n${words.trim()}`);
      done(status);
    });
  });

/** A check, which counts as one. */
async function check(name, args) {
  const status = await said(name, args);
  note(status === 0 ? 1 : 0, status === 0 ? 0 : 1);
}

/** A test runner that leaves a JSON report, whose counts are added. */
async function suite(name, args, report, count, live = false) {
  rmSync(report, { force: true });
  const status = await said(name, args, live);
  if (!existsSync(report)) return note(0, 1);
  const [passed, failed] = count(JSON.parse(readFileSync(report, 'utf8')));
  note(passed, failed === 0 && status !== 0 ? 1 : failed);
}

const browser = () =>
  suite(
    'browser tests',
    ['playwright', 'test'],
    'test-results/playwright.json',
    (r) => [r.stats.expected + r.stats.flaky, r.stats.unexpected],
    true,
  );

async function unit() {
  await check('types', ['tsc', '--noEmit']);
  await check('lint', ['eslint', '--max-warnings', '0', '.']);
  await check('other versions of Node', ['node', 'scripts/otherNodes.mjs']);
  await check('format', ['prettier', '--check', '--log-level', 'warn', '.']);
  await suite(
    'unit tests',
    ['jest', '--json', '--outputFile=test-results/jest.json'],
    'test-results/jest.json',
    (r) => [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites],
  );
}

mkdirSync('test-results', { recursive: true });
// The build first: it writes some of the types, and the browser tests need it.
console.log('\n== build');
await build();
note(1, 0);
await check('next types', ['next', 'typegen']);
// Side by side: each waits for something much of the time.
await Promise.all([browser(), unit()]);

console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 && total.passed > 0 ? 0 : 1);
