import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(__dirname, '../..');
const read = (name: string): string => readFileSync(join(ROOT, 'deploy', name), 'utf8');

/** Starts what a file says it starts, on a folder of the test's own and any free port. */
async function started(command: readonly string[]): Promise<{ address: string; child: ChildProcess; folder: string }> {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-deploy-'));
  const args = command.slice(1).map((word, i, all) => (all[i - 1] === '--data' ? folder : word));
  const child = spawn(process.execPath, [...args, '--port', '0'], {
    cwd: ROOT,
    env: { ...process.env, NODE_ENV: 'production' },
  });
  const address = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const at = /Hervir is at (\S+)/.exec(chunk.toString())?.[1];
      if (at !== undefined) resolve(at);
    });
    child.once('exit', (code) => reject(new Error(`ended with ${code}`)));
  });
  return { address, child, folder };
}

/** Asks it to stop as a service manager would, and waits. */
const stopped = (child: ChildProcess, signal: NodeJS.Signals): Promise<number | null> =>
  new Promise((resolve) => {
    child.removeAllListeners('exit');
    child.once('exit', (code) => resolve(code));
    child.kill(signal);
  });

describe('the unit for systemd', () => {
  const unit = read('hervir.service');
  const value = (key: string): string => new RegExp(`^${key}=(.*)$`, 'm').exec(unit)?.[1] ?? '';

  test('starts what is built, answers, and stops in order when it is asked to', async () => {
    const command = value('ExecStart').split(' ');
    expect(command[0]).toBe('/usr/bin/node');
    const { address, child, folder } = await started(command);
    expect((await fetch(`${address}/api/health`)).status).toBe(200);
    expect(await stopped(child, 'SIGTERM')).toBe(0);
    rmSync(folder, { recursive: true });
  });

  test('is taken by systemd itself, where this machine has it', () => {
    const { error, stdout, stderr } = spawnSync('systemd-analyze', ['verify', join(ROOT, 'deploy/hervir.service')], {
      encoding: 'utf8',
    });
    // Nothing to ask here: what it says is in the file.
    if (error) {
      expect(value('Restart')).toBe('on-failure');
      return;
    }
    const said = `${stdout}${stderr}`.split('\n').filter((line) => /hervir\.service/.test(line));
    expect(said.filter((line) => !/is not executable|not found/.test(line))).toEqual([]);
  });
});

describe('the container file', () => {
  const file = read('Containerfile');
  const json = (key: string): string[] =>
    JSON.parse(new RegExp(`^${key}.*?(\\[.*\\])$`, 'm').exec(file)?.[1] ?? '[]') as string[];

  test('starts what is built on its volume, and its health check tells a server from none', async () => {
    const command = json('ENTRYPOINT');
    expect([command.at(-1), file]).toEqual(['/data', expect.stringMatching(/^VOLUME \/data$/m)]);
    const { address, child, folder } = await started(command);
    const [, , script = ''] = json('HEALTHCHECK');
    const check = (at: string): Promise<number | null> =>
      new Promise((resolve) => {
        const asked = spawn(process.execPath, ['-e', script.replace('http://127.0.0.1:4780', at)]);
        asked.once('exit', resolve);
      });
    expect(await check(address)).toBe(0);
    expect(await stopped(child, (/^STOPSIGNAL (\w+)$/m.exec(file)?.[1] ?? 'SIGKILL') as NodeJS.Signals)).toBe(0);
    expect(await check(address)).toBe(1);
    rmSync(folder, { recursive: true });
  });

  test('builds with scripts that are there', () => {
    const { scripts } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8')) as {
      scripts: Record<string, string>;
    };
    for (const [, name = ''] of file.matchAll(/npm run (\w+)/g)) expect(scripts[name]).toBeDefined();
    expect(existsSync(join(ROOT, '.dockerignore'))).toBe(true);
  });
});

describe('the command itself', () => {
  const run = (...args: string[]): string =>
    spawnSync(process.execPath, ['server/dist/main.js', ...args], { cwd: ROOT, encoding: 'utf8' }).stdout;

  test('says what it takes, and which version it is, without starting', () => {
    const help = run('--help');
    for (const flag of ['--port', '--data', '--host', '--allow-host', '--lan', '--lan-port', '--lan-host', '--demo']) {
      expect(help).toContain(flag);
    }
    expect(run('--version')).toMatch(/^\d+\.\d+\.\d+\n$/);
  });
});
