// npm test: installs what it needs and runs everything. The last line is "N passed, N failed".
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildAll, chromiumPath, install, root } from './lib.mjs';

const began = Date.now();
const checks = [];

function step(name, command, args) {
  const started = Date.now();
  process.stdout.write(`\n== ${name}\n`);
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit' });
  checks.push({ name, ok: status === 0, seconds: Math.round((Date.now() - started) / 1000) });
}

/** Debian's Chromium, for the browser tests: fetched through apt where it is missing and this user may. */
function ensureChromium() {
  if (chromiumPath()) return;
  process.stdout.write('Chromium is missing: installing it through apt.\n');
  const quiet = { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
  spawnSync('apt-get', ['update', '-qq'], quiet);
  spawnSync('apt-get', ['install', '-y', '-qq', 'chromium'], quiet);
}

/** Share of test lines among all lines of code that are not blank. */
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
    if (/\.test\.tsx?$/.test(file) || file.startsWith('e2e/')) tests += lines;
  }
  return { all, tests, percent: Math.round((100 * tests) / Math.max(1, all)) };
}

install();
ensureChromium();
const bin = (name) => join(root, 'node_modules/.bin', name);

step('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
step('types', bin('tsc'), ['-b']);
step('lint', bin('eslint'), ['.', '--max-warnings', '0']);
step('layers', bin('depcruise'), [
  '--config',
  '.dependency-cruiser.cjs',
  'core/src',
  'contract/src',
  'server/src',
  'web/src',
]);
process.stdout.write('\n== build\n');
buildAll();

const results = join(mkdtempSync(join(tmpdir(), 'hervir-test-')), 'jest.json');
// --forceExit: the database driver's native thread keeps Jest's process alive after everything has been closed.
step('tests', bin('jest'), [
  '--json',
  `--outputFile=${results}`,
  '--silent',
  '--forceExit',
  '--testTimeout=60000',
  ...process.argv.slice(2),
]);

let passed = checks.filter(({ name, ok }) => ok && name !== 'tests').length;
let failed = checks.filter(({ name, ok }) => !ok && name !== 'tests').length;
if (existsSync(results)) {
  const report = JSON.parse(readFileSync(results, 'utf8'));
  passed += report.numPassedTests;
  failed += report.numFailedTests + report.numRuntimeErrorTestSuites;
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
