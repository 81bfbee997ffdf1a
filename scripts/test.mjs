/**
 * All tests: format, lint, types, unit tests, production build, browser tests. Ends with one
 * line over all of them, `N passed, N failed`; each check before the tests counts as one.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { build, debian, packages } from './setup.mjs';

await Promise.all([
  packages(),
  debian({
    chromium: '/usr/bin/chromium',
    'poppler-utils': '/usr/bin/pdftotext',
    'liblcms2-utils': '/usr/bin/transicc',
  }),
]);

const total = { passed: 0, failed: 0 };
const note = (passed, failed) => {
  total.passed += passed;
  total.failed += failed;
};

/** Runs a check; what it says is shown when it has ended, in one piece. */
const check = (name, args) =>
  new Promise((done) => {
    const child = spawn('npx', args, { stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (part) => (said += part));
    child.on('close', (status) => {
      console.log(`\n== ${name}\n${said.trim()}`);
      note(status === 0 ? 1 : 0, status === 0 ? 0 : 1);
      done();
    });
  });

/** Runs a test runner that leaves a JSON report, and adds its counts. */
function suite(name, args, report, count) {
  console.log(`\n== ${name}`);
  rmSync(report, { force: true });
  const { status } = spawnSync('npx', args, { stdio: 'inherit' });
  if (!existsSync(report)) return note(0, 1);
  const [passed, failed] = count(JSON.parse(readFileSync(report, 'utf8')));
  note(passed, failed === 0 && status !== 0 ? 1 : failed);
}

mkdirSync('test-results', { recursive: true });
// Types before the build, which writes some of them anew; the other checks beside it.
await check('next types', ['next', 'typegen']);
await check('types', ['tsc', '--noEmit']);
const checks = (async () => {
  await check('lint', ['eslint', '--max-warnings', '0', '.']);
  await check('format', ['prettier', '--check', '--log-level', 'warn', '.']);
})();
console.log('\n== build');
await build();
note(1, 0);
await checks;
suite(
  'unit tests',
  ['jest', '--json', '--outputFile=test-results/jest.json'],
  'test-results/jest.json',
  (r) => [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites],
);
suite('browser tests', ['playwright', 'test'], 'test-results/playwright.json', (r) => [
  r.stats.expected + r.stats.flaky,
  r.stats.unexpected,
]);

console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 && total.passed > 0 ? 0 : 1);
