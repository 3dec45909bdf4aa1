import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';

/** Key and certificate of this kitchen, PEM, and the addresses they speak for. */
export interface Certificate {
  readonly key: string;
  readonly cert: string;
  readonly hosts: readonly string[];
}

const FILE = 'lan-certificate.json';
const YEARS = 10;

/** RFC 1918 and RFC 3927: addresses that are nobody's but this house's. */
const OF_THE_HOUSE = /^(10\.|192\.168\.|172\.(1[6-9]|2\d|3[01])\.|169\.254\.)/;

/** IPv4 addresses of this machine in the house's own network. */
export function houseAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ family, internal, address }) => family === 'IPv4' && !internal && OF_THE_HOUSE.test(address))
    .map(({ address }) => address);
}

/**
 * The certificate kept in the data folder, made at the first start and again when the house's addresses have changed.
 *
 * @param folder data folder
 * @param hosts addresses that phones will ask for
 */
export async function ownCertificate(folder: string, hosts: readonly string[]): Promise<Certificate> {
  const file = join(folder, FILE);
  if (existsSync(file)) {
    const kept = JSON.parse(readFileSync(file, 'utf8')) as Certificate;
    if (hosts.every((host) => kept.hosts.includes(host))) return kept;
  }
  // A quarter of a second to load, once in ten years: not at every start.
  const { generate } = await import('selfsigned');
  const from = new Date();
  const made = await generate([{ name: 'commonName', value: 'Hervir' }], {
    keySize: 2048,
    algorithm: 'sha256',
    notBeforeDate: from,
    notAfterDate: new Date(from.getTime() + YEARS * 365 * 86_400_000),
    extensions: [
      { name: 'basicConstraints', cA: false },
      {
        name: 'subjectAltName',
        altNames: [{ type: 2, value: 'localhost' }, ...hosts.map((ip) => ({ type: 7 as const, ip }))],
      },
    ],
  });
  const certificate = { key: made.private, cert: made.cert, hosts };
  // The key is nobody's business but this server's.
  writeFileSync(file, JSON.stringify(certificate), { mode: 0o600 });
  return certificate;
}
