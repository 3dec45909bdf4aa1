// npm test: installs what it needs and runs everything. The last line is "N passed, N failed".
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromiumPath, compileMessages, install, root, tsc } from './lib.mjs';

const began = Date.now();
const checks = [];

/** Runs a check; what it says is printed when it is over, so that two at once do not talk into each other. */
function step(name, command, args, quiet = true) {
  const started = Date.now();
  if (!quiet) process.stdout.write(`\n== ${name}\n`);
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit' });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk) => (said += chunk));
    child.on('close', (status) => {
      if (quiet) process.stdout.write(`\n== ${name}\n${said}`);
      checks.push({ name, ok: status === 0, seconds: Math.round((Date.now() - started) / 1000) });
      resolve();
    });
  });
}

/** Debian's Chromium, for the browser tests: fetched through apt where it is missing and this user may. */
function ensureChromium() {
  if (chromiumPath()) return;
  process.stdout.write('Chromium is missing: installing it through apt.\n');
  const quiet = { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
  spawnSync('apt-get', ['update', '-qq'], quiet);
  spawnSync('apt-get', ['install', '-y', '-qq', 'chromium'], quiet);
}

/** Share of the lines of tests, and of what only they use, among all lines of code that are not blank. */
function testShare() {
  const files = spawnSync('git', ['ls-files', '*.ts', '*.tsx', '*.mjs', '*.css'], { cwd: root, encoding: 'utf8' })
    .stdout.trim()
    .split('\n');
  let all = 0;
  let tests = 0;
  for (const file of files.filter((name) => name !== '' && existsSync(join(root, name)))) {
    const lines = readFileSync(join(root, file), 'utf8')
      .split('\n')
      .filter((line) => line.trim() !== '').length;
    all += lines;
    if (/\.test\.tsx?$|\/testing\//.test(file) || file.startsWith('e2e/')) tests += lines;
  }
  return { all, tests, percent: Math.round((100 * tests) / Math.max(1, all)) };
}

install();
ensureChromium();
const bin = (name) => join(root, 'node_modules/.bin', name);

const report = join(mkdtempSync(join(tmpdir(), 'hervir-test-')), 'jest.json');

compileMessages();
await step('types', process.execPath, [tsc, '-b']);
// What needs one core stands beside the build, which needs little more; the linter takes all there are, and comes after.
const layers = ['language/src', 'core/src', 'contract/src', 'server/src', 'web/src'];
const beside = async () => {
  await step('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
  await step('layers', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', ...layers]);
};
await Promise.all([step('build', process.execPath, ['scripts/build.mjs']), beside()]);
await step('lint', bin('oxlint'), ['--deny-warnings']);
await step(
  'tests',
  bin('jest'),
  [
    '--json',
    `--outputFile=${report}`,
    '--silent',
    // The browser's tests come first, and wait more than they work: three at once on two cores.
    '--maxWorkers=3',
    ...process.argv.slice(2),
  ],
  false,
);

let passed = checks.filter(({ name, ok }) => ok && name !== 'tests').length;
let failed = checks.filter(({ name, ok }) => !ok && name !== 'tests').length;
if (existsSync(report)) {
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(report, 'utf8'));
  passed += numPassedTests;
  failed += numFailedTests + numRuntimeErrorTestSuites;
} else {
  failed += 1;
}
const share = testShare();
process.stdout.write(
  `\n${checks.map(({ name, ok, seconds }) => `${ok ? 'ok  ' : 'FAIL'} ${name} (${seconds} s)`).join('\n')}\n`,
);
process.stdout.write(
  `tests are ${share.percent} % of ${share.all} lines of code; ${Math.round((Date.now() - began) / 1000)} s in all\n`,
);
process.stdout.write(`${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);
