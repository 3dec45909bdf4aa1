import { readFileSync, statSync } from 'node:fs';
import { request, type RequestOptions } from 'node:https';
import { join } from 'node:path';
import { X509Certificate } from 'node:crypto';
import { readConfig, StartError } from '../config';
import { openKitchen, type TestKitchen } from '../testing/kitchen';

interface Answer {
  readonly status: number;
  readonly body: string;
  readonly headers: NodeJS.Dict<string | string[]>;
}

let kitchen: TestKitchen;
/** As a phone does it: over TLS, trusting this kitchen's own certificate and no other. */
function phone(path: string, options: RequestOptions & { body?: string } = {}): Promise<Answer> {
  const { port } = new URL(kitchen.house.addresses[0] ?? '');
  const { cert } = JSON.parse(readFileSync(join(kitchen.folder, 'lan-certificate.json'), 'utf8')) as { cert: string };
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
const give = (code: string): Promise<Answer> =>
  phone('/pair', {
    method: 'POST',
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

  test('five wrong codes change the code and make everybody wait', async () => {
    const { code } = await lan();
    for (let i = 0; i < 5; i += 1) expect((await give('12')).status).toBe(403);
    expect((await lan()).code).not.toBe(code);
    expect((await give((await lan()).code)).status).toBe(429);
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

describe('without being asked', () => {
  test('nothing listens to the house', () => {
    expect(readConfig([], {}).lan).toBeNull();
    expect(readConfig(['--lan', '--lan-host', '192.168.1.5', '--port', '5000'], {}).lan).toEqual({
      hosts: ['192.168.1.5'],
      port: 5001,
    });
    expect(() => readConfig(['--lan', '--lan-host', '192.168.1.5', '--lan-port', 'x'], {})).toThrow(StartError);
  });
});
