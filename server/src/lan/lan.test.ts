import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { request, type RequestOptions } from 'node:https';
import { tmpdir } from 'node:os';
import { connect, createServer } from 'node:tls';
import { join } from 'node:path';
import { X509Certificate } from 'node:crypto';
import { readConfig, StartError } from '../config';
import { authorityOf, ownCertificate } from './certificate';
import { openKitchen, type TestKitchen } from '../testing/kitchen';

interface Answer {
  readonly status: number;
  readonly body: string;
  readonly headers: NodeJS.Dict<string | string[]>;
}

let kitchen: TestKitchen;
/** As a phone does it: over TLS, trusting what vouches for this kitchen's certificate and nothing else. */
function phone(path: string, options: RequestOptions & { body?: string } = {}): Promise<Answer> {
  const { port } = new URL(kitchen.house.addresses[0] ?? '');
  const cert = authorityOf(kitchen.folder) ?? '';
  return new Promise((resolve, reject) => {
    const asked = request(
      { host: '127.0.0.1', servername: 'localhost', port, path, ca: cert, agent: false, ...options },
      (response) => {
        let body = '';
        response.on('data', (chunk: Buffer) => (body += chunk.toString()));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, body, headers: response.headers }));
      },
    );
    asked.on('error', reject);
    asked.end(options.body);
  });
}
const lan = async (): Promise<{ code: string; qr: string; devices: { id: string; name: string }[] }> =>
  (await kitchen.send('GET', '/api/lan')).body as { code: string; qr: string; devices: { id: string; name: string }[] };
const give = (code: string, from?: string): Promise<Answer> =>
  phone('/pair', {
    method: 'POST',
    localAddress: from,
    headers: { 'content-type': 'application/x-www-form-urlencoded', 'user-agent': 'Phone (Android 14)' },
    body: `code=${encodeURIComponent(code)}`,
  });
const cookieOf = ({ headers }: Answer): string => (headers['set-cookie']?.[0] ?? '').split(';')[0] ?? '';

beforeEach(async () => {
  kitchen = await openKitchen({ lan: { hosts: ['127.0.0.1'], port: 0 } });
});
afterEach(() => kitchen.close());

describe('a phone on the counter', () => {
  test('unpaired gets the page that asks for the code, and nothing else', async () => {
    expect(await phone('/', { headers: { accept: 'text/html' } })).toMatchObject({
      status: 303,
      headers: { location: '/pair' },
    });
    expect((await phone('/pair')).body).toContain('Pair this device');
    for (const path of ['/api/braises', '/api/cooks/stream', '/api/lan', '/assets/anything.js', '/api/health']) {
      const { status } = await phone(path, { headers: { accept: '*/*' } });
      expect([path, [303, 401].includes(status)]).toEqual([path, true]);
    }
    expect((await phone('/api/braises')).body).not.toContain('plan');
  });

  test('gives the code once and is known from then on; the code is another afterwards', async () => {
    const { code } = await lan();
    expect(code).toMatch(/^\d{8}$/);
    const paired = await give(`${code.slice(0, 4)} ${code.slice(4)}`);
    expect(paired.status).toBe(303);
    expect(paired.headers['set-cookie']?.[0]).toMatch(/HttpOnly; Secure; SameSite=Strict/);
    const cookie = cookieOf(paired);
    expect((await phone('/api/braises', { headers: { cookie } })).status).toBe(200);
    expect((await lan()).code).not.toBe(code);
    expect((await give(code)).status).toBe(403);
    // What is told to this machine only stays so.
    expect((await phone('/api/lan', { headers: { cookie } })).status).toBe(403);
  });

  test('forgotten, it is out again', async () => {
    const cookie = cookieOf(await give((await lan()).code));
    const [device] = (await lan()).devices;
    expect(device?.name).toBe('Android');
    await kitchen.send('DELETE', `/api/lan/devices/${device?.id ?? ''}`);
    expect((await phone('/api/braises', { headers: { cookie } })).status).toBe(401);
  });

  test('what it is being told ends at once when it is forgotten', async () => {
    const cookie = cookieOf(await give((await lan()).code));
    const { port } = new URL(kitchen.house.addresses[0] ?? '');
    const ended = new Promise<void>((resolve, reject) => {
      const asked = request(
        {
          host: '127.0.0.1',
          servername: 'localhost',
          port,
          path: '/api/cooks/stream',
          ca: authorityOf(kitchen.folder) ?? '',
          agent: false,
          headers: { cookie },
        },
        (response) => {
          response.once('data', () => {
            void lan().then(({ devices }) => kitchen.send('DELETE', `/api/lan/devices/${devices[0]?.id}`));
          });
          response.once('close', () => resolve());
          response.resume();
        },
      );
      asked.once('error', reject);
      asked.end();
    });
    await ended;
    expect((await phone('/api/braises', { headers: { cookie } })).status).toBe(401);
  });

  test('may cook, and not carry the kitchen away: no backup, no restore, no folder', async () => {
    const cookie = cookieOf(await give((await lan()).code));
    for (const [method, path] of [
      ['GET', '/api/backup'],
      ['GET', '/api/backup/where'],
      ['GET', '/api/backup/kept'],
      ['GET', '/api/backup/kept/hervir-2026-11-05.json'],
      ['POST', '/api/backup/preview'],
      ['POST', '/api/backup/restore'],
      ['POST', '/api/backup/kept/hervir-2026-11-05.json/restore'],
    ] as const) {
      const headers = { cookie, 'content-type': 'application/json' };
      const { status } = await phone(path, { method, headers, ...(method === 'POST' ? { body: '{}' } : {}) });
      expect([method, path, status]).toEqual([method, path, 403]);
    }
    expect((await phone('/api/braises', { headers: { cookie } })).status).toBe(200);
  });

  test('a device with five wrong codes waits, another one comes in meanwhile; many of any change the code', async () => {
    const { code } = await lan();
    for (let i = 0; i < 5; i += 1) expect((await give('12')).status).toBe(403);
    expect((await give(code)).status).toBe(429);
    expect((await give(code, '127.0.0.2')).status).toBe(303);

    const next = (await lan()).code;
    for (let i = 0; i < 25; i += 1) expect((await give('12', `127.0.1.${1 + Math.floor(i / 5)}`)).status).toBe(403);
    expect((await lan()).code).not.toBe(next);
  });

  test('a made-up token, another Host and another Origin are refused', async () => {
    const made = `hervir_device=${'a'.repeat(64)}`;
    expect((await phone('/api/braises', { headers: { cookie: made } })).status).toBe(401);
    const cookie = cookieOf(await give((await lan()).code));
    expect((await phone('/api/braises', { headers: { cookie, host: 'elsewhere.test' } })).status).toBe(403);
    expect((await phone('/api/braises', { headers: { cookie, origin: 'https://elsewhere.test' } })).status).toBe(403);
  });

  test('the certificate speaks for the address, and its key can be read by nobody else', () => {
    const file = join(kitchen.folder, 'lan-certificate.json');
    const { cert } = JSON.parse(readFileSync(file, 'utf8')) as { cert: string };
    expect(new X509Certificate(cert).checkIP('127.0.0.1')).toBe('127.0.0.1');
    expect(statSync(file).mode & 0o077).toBe(0);
  });
});

describe('the certificate', () => {
  const DAY = 86_400_000;
  let folder: string;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'hervir-cert-'));
  });
  afterEach(() => rmSync(folder, { recursive: true }));

  test('a phone that has not been paired gets the one it may be told to trust: an authority, without its key', async () => {
    const { status, body, headers } = await phone('/certificate');
    expect(status).toBe(200);
    expect(headers['content-type']).toContain('application/x-x509-ca-cert');
    expect(body).not.toContain('PRIVATE');
    expect(new X509Certificate(body).ca).toBe(true);
  });

  test('the authority stays when addresses change or time runs out; the server’s own is made anew', async () => {
    const now = Date.now();
    const first = await ownCertificate(folder, ['192.168.1.5'], now);
    expect(await ownCertificate(folder, ['192.168.1.5'], now + DAY)).toEqual(first);
    const moved = await ownCertificate(folder, ['192.168.1.9'], now + DAY);
    const later = await ownCertificate(folder, ['192.168.1.9'], now + 760 * DAY);
    expect(new Set([first, moved, later].map(({ cert }) => cert)).size).toBe(3);
    expect(new Set([first, moved, later].map(({ authority }) => authority)).size).toBe(1);
    for (const { cert, authority } of [first, moved, later]) {
      expect(new X509Certificate(cert).verify(new X509Certificate(authority).publicKey)).toBe(true);
    }
    // What phones ask of a server certificate under an authority of one's own: 825 days at most. From memory.
    const { validFrom, validTo } = new X509Certificate(later.cert);
    expect((Date.parse(validTo) - Date.parse(validFrom)) / DAY).toBeLessThanOrEqual(825);
  });

  test('the authority vouches for no address outside a house, whoever signs with it', async () => {
    // OpenSSL, which Node's TLS is built on, is the judge.
    const trusted = async (host: string): Promise<string> => {
      const { key, cert, authority } = await ownCertificate(mkdtempSync(join(folder, 'one-')), [host]);
      const server = createServer({ key, cert });
      await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
      const { port } = server.address() as { port: number };
      const found = await new Promise<string>((resolve) => {
        const socket = connect({ port, host: '127.0.0.1', ca: authority, checkServerIdentity: () => undefined }, () =>
          resolve('trusted'),
        );
        socket.on('error', (error: Error) => resolve(error.message));
        socket.on('close', () => server.close());
        socket.on('secureConnect', () => socket.destroy());
      });
      return found;
    };
    expect(await trusted('192.168.1.5')).toBe('trusted');
    expect(await trusted('10.4.0.2')).toBe('trusted');
    // TEST-NET-3 of RFC 5737 stands for an address of the world.
    expect(await trusted('203.0.113.7')).toBe('permitted subtree violation');
  });

  test.each([
    ['cut off', (text: string) => text.slice(0, 200)],
    [
      'of another key',
      (text: string) =>
        JSON.stringify({
          ...(JSON.parse(text) as object),
          key: (JSON.parse(text) as { authority: { key: string } }).authority.key,
        }),
    ],
    [
      'that is no certificate',
      () =>
        '{"key":"PRIVATE KEY","cert":"CERTIFICATE","authority":{"key":"PRIVATE KEY","cert":"CERTIFICATE"},"hosts":["127.0.0.1"],"until":9e15}',
    ],
  ])('one %s is made anew, with a word', async (_how, spoil) => {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
    await ownCertificate(folder, ['127.0.0.1']);
    const file = join(folder, 'lan-certificate.json');
    writeFileSync(file, spoil(readFileSync(file, 'utf8')));
    const said: string[] = [];
    const made = await ownCertificate(folder, ['127.0.0.1'], Date.now(), (words) => said.push(words));
    expect(new X509Certificate(made.cert).subject).toContain('Hervir');
    expect(said.join()).toContain('made anew');
    expect(statSync(file).mode & 0o777).toBe(0o600);
    rmSync(folder, { recursive: true });
  });

  test('one of an older Hervir, which stood for itself, is replaced', async () => {
    const file = join(folder, 'lan-certificate.json');
    writeFileSync(file, JSON.stringify({ key: 'old', cert: 'old', hosts: ['192.168.1.5'] }));
    const { cert } = await ownCertificate(folder, ['192.168.1.5']);
    expect(new X509Certificate(cert).checkIP('192.168.1.5')).toBe('192.168.1.5');
    expect(authorityOf(folder)).toContain('BEGIN CERTIFICATE');
  });
});

describe('without being asked', () => {
  test.each(['0.0.0.0', '::', '[::]', '0', '*', '::ffff:0.0.0.0'])('--host %s lets nobody in by mistake', (host) => {
    expect(() => readConfig(['--host', host], {})).toThrow(/--lan/);
    expect(() => readConfig([], { HERVIR_HOST: host })).toThrow(/--lan/);
  });

  test('nothing listens to the house', () => {
    expect(readConfig([], {}).lan).toBeNull();
    expect(readConfig(['--lan', '--lan-host', '192.168.1.5', '--port', '5000'], {}).lan).toEqual({
      hosts: ['192.168.1.5'],
      port: 5001,
    });
    expect(() => readConfig(['--lan', '--lan-host', '192.168.1.5', '--lan-port', 'x'], {})).toThrow(StartError);
  });
});
