/**
 * All tests: format, lint, types, unit tests, production build, browser tests. Ends with one
 * line over all of them, `N passed, N failed`; each check before the tests counts as one.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { build, debian, packages } from './setup.mjs';

packages();
debian({ chromium: '/usr/bin/chromium', 'poppler-utils': '/usr/bin/pdftotext' });

const total = { passed: 0, failed: 0 };
const note = (passed, failed) => {
  total.passed += passed;
  total.failed += failed;
};

function check(name, args) {
  console.log(`\n== ${name}`);
  const { status } = spawnSync('npx', args, { stdio: 'inherit' });
  note(status === 0 ? 1 : 0, status === 0 ? 0 : 1);
}

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
check('format', ['prettier', '--check', '--log-level', 'warn', '.']);
check('lint', ['eslint', '--max-warnings', '0', '.']);
check('next types', ['next', 'typegen']);
check('types', ['tsc', '--noEmit']);
suite(
  'unit tests',
  ['jest', '--json', '--outputFile=test-results/jest.json'],
  'test-results/jest.json',
  (r) => [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites],
);
console.log('\n== build');
build();
note(1, 0);
suite('browser tests', ['playwright', 'test'], 'test-results/playwright.json', (r) => [
  r.stats.expected + r.stats.flaky,
  r.stats.unexpected,
]);

console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 && total.passed > 0 ? 0 : 1);
