import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's root. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Where Debian puts Chromium, and the flags it is started with. */
export const chromium = JSON.parse(readFileSync(join(root, 'e2e/chromium.json'), 'utf8'));

/** The Chromium of this machine, or undefined. */
export const chromiumPath = () => chromium.paths.find((path) => existsSync(path));

/** Runs a command in the project and stops the script when it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (result.error) throw result.error;
  return result.status ?? 1;
}

/** Stops with one clear line. */
export function stop(message, code = 1) {
  process.stderr.write(`${message}\n`);
  process.exit(code);
}

/** Installs what the lock file says, once: again only when the lock file has changed. Needs nothing but Node and npm. */
export function install({ quiet = false } = {}) {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    stop(`Hervir needs Node 20.19 or newer; this is ${process.versions.node}.`);
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.hervir-installed');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  // A folder that npm filled by hand from this very lock file counts as installed.
  const status = run('npm', ['ci', '--no-audit', '--no-fund'], quiet ? { stdio: ['ignore', 'ignore', 'inherit'] } : {});
  if (status !== 0) stop('Installing failed: is the package registry within reach?');
  writeFileSync(stamp, lock);
}

/** When a file, or the newest in a folder, was last written, ms since 1970. */
function newest(path) {
  const found = statSync(path);
  if (!found.isDirectory()) return found.mtimeMs;
  return readdirSync(path).reduce((latest, name) => Math.max(latest, newest(join(path, name))), 0);
}

/** True when a file, or one of a folder, is newer than what was last made of it. */
function changed(paths, stampName) {
  const stamp = join(root, 'node_modules', '.cache', `hervir-${stampName}`);
  if (!existsSync(stamp)) return true;
  const made = statSync(stamp).mtimeMs;
  return paths.some((path) => newest(join(root, path)) > made);
}

/** True when a workspace's sources are newer than what was last built from them. */
export const stale = (workspaces, stampName) =>
  workspaces.some((name) => !existsSync(join(root, name, 'dist'))) ||
  changed(
    workspaces.flatMap((name) => [
      `${name}/src`,
      ...(name === 'web' ? ['web/vite.config.ts', 'web/index.html', 'web/public'] : []),
    ]),
    stampName,
  );

/** Notes that a build is done. */
export function stampBuild(stampName) {
  const folder = join(root, 'node_modules', '.cache');
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, `hervir-${stampName}`), new Date().toISOString());
}

const bin = (name) => join(root, 'node_modules', '.bin', name);

/** The compiler. Two are installed: the linter reads types by the older one's programming interface (decision 18). */
export const tsc = join(root, 'node_modules/typescript-native/bin/tsc');

/** Compiles the reckoning and the contract where they have changed. */
export function buildReckoning({ quiet = false } = {}) {
  compileMessages();
  if (!stale(['language', 'core', 'contract'], 'reckoning')) return;
  const status = run(
    process.execPath,
    [tsc, '-b', 'language', 'core', 'contract'],
    quiet ? { stdio: ['ignore', 2, 2] } : {},
  );
  if (status !== 0) stop('The reckoning does not compile.');
  stampBuild('reckoning');
}

/** Compiles the messages of every language where one, or what asks for one, has changed; a wrong one stops everything. */
export function compileMessages() {
  const asking = ['language', 'core', 'contract', 'server', 'web'].map((name) => `${name}/src`);
  const made = existsSync(join(root, 'language/src/compiled'));
  if (made && !changed(['language/messages', 'scripts', ...asking], 'messages')) return;
  if (run(process.execPath, [join(root, 'scripts/messages.mjs')]) !== 0) stop('The messages do not compile.');
  stampBuild('messages');
}

/** Compiles everything and bundles the web where anything has changed. */
export function buildAll() {
  buildReckoning();
  if (!stale(['language', 'core', 'contract', 'server', 'web'], 'all')) return;
  if (run(process.execPath, [tsc, '-b', 'server']) !== 0) stop('The server does not compile.');
  if (run(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: join(root, 'web') }) !== 0)
    stop('The web does not build.');
  if (run(process.execPath, [join(root, 'scripts/write-licences.mjs')]) !== 0) stop('The licences cannot be written.');
  stampBuild('all');
}

/** Runs the server in the foreground and hands it the signals that end this script. */
export function serve(args) {
  const child = spawn(process.execPath, [join(root, 'server/dist/main.js'), ...args], { cwd: root, stdio: 'inherit' });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code, signal) => process.exit(code ?? (signal ? 1 : 0)));
}

/** The clock file of a server started with HERVIR_TEST_CLOCK. */
export function clockAt(file) {
  return (ms) =>
    writeFileSync(file, JSON.stringify({ now: new Date(ms).toISOString(), setAt: new Date().toISOString(), speed: 1 }));
}

/** Builds, serves the demo kitchen from a folder of its own on any free port, opens a browser, and clears all away after. */
export async function demoInBrowser(work) {
  buildAll();
  // Not at the top: this file is read before anything is installed.
  const { default: puppeteer } = await import('puppeteer-core');
  const [data, profile] = ['hervir-demo-', 'hervir-profile-'].map((name) => mkdtempSync(join(tmpdir(), name)));
  // Its clock can be set, so that a cook can be shown at any of its moments; until then it is the real one.
  const clock = join(data, 'clock.json');
  clockAt(clock)(Date.now());
  const server = spawn(process.execPath, [join(root, 'server/dist/main.js'), '--port', '0', '--data', data, '--demo'], {
    env: { ...process.env, HERVIR_TEST_CLOCK: clock },
  });
  const address = await new Promise((resolve) => {
    server.stdout.on('data', (chunk) => {
      const match = /Hervir is at (\S+)/.exec(chunk.toString());
      if (match) resolve(match[1]);
    });
  });
  const browser = await puppeteer.launch({
    executablePath: chromiumPath(),
    userDataDir: profile,
    args: chromium.flags,
  });
  try {
    const plans = await (await fetch(`${address}/api/braises`)).json();
    await work({ address, browser, plans, clock });
  } finally {
    await browser.close();
    server.kill('SIGTERM');
    for (const folder of [profile, data]) rmSync(folder, { recursive: true, force: true });
  }
}
