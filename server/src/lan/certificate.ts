import 'reflect-metadata';
import { createPrivateKey, webcrypto, X509Certificate } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import type { X509CertificateCreateParams } from '@peculiar/x509';
import { z } from 'zod';

/** A private key and its certificate, PEM. */
interface Pair {
  readonly key: string;
  readonly cert: string;
}

/** What the house's listeners show: their own key and certificate, with the one that vouches for it. */
export interface Certificate extends Pair {
  /** Vouches for this kitchen's addresses, and for nothing outside a house: what a phone may be told to trust. */
  readonly authority: string;
}

/** As it is kept in the data folder. */
interface Kept extends Pair {
  readonly authority: Pair;
  readonly hosts: readonly string[];
  /** When it runs out, ms since 1970. */
  readonly until: number;
}

const FILE = 'lan-certificate.json';
const DAY_MS = 86_400_000;
/** What a phone was told to trust is good for ten years: told once. */
const AUTHORITY_DAYS = 3650;
/** Some phones trust no server certificate that is good for longer than 825 days, whoever vouches for it. */
const SERVER_DAYS = 800;
/** Made anew so long before it runs out. */
const SPARE_DAYS = 60;
/** Clocks of a house are not of one mind. */
const EARLIER_DAYS = 1;

/** RFC 1918 and RFC 3927: addresses that are nobody's but this house's. */
const OF_THE_HOUSE = /^(10\.|192\.168\.|172\.(1[6-9]|2\d|3[01])\.|169\.254\.)/;
/** The same, as an authority is held to them. */
const HELD_TO = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16', '127.0.0.0/8'];

/** IPv4 addresses of this machine in the house's own network. */
export function houseAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ family, internal, address }) => family === 'IPv4' && !internal && OF_THE_HOUSE.test(address))
    .map(({ address }) => address);
}

const pair = z.object({ key: z.string().includes('PRIVATE KEY'), cert: z.string().includes('CERTIFICATE') });
const keptSchema = pair.extend({ authority: pair, hosts: z.array(z.string()), until: z.number() });

/** What a start has to say of its certificate; nothing where all is well. */
export type Said = (words: string) => void;

/** Whether keys and certificates are what they say they are, and belong together. */
function isWhole({ key, cert, authority }: Kept): boolean {
  try {
    return [{ key, cert }, authority].every((one) =>
      new X509Certificate(one.cert).checkPrivateKey(createPrivateKey(one.key)),
    );
  } catch {
    // Cut off, or not what it says.
    return false;
  }
}

function kept(file: string, say: Said = () => undefined): Kept | null {
  if (!existsSync(file)) return null;
  let stored: unknown;
  try {
    stored = JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    stored = null;
  }
  // One that an older Hervir made stands for itself: no phone can be told to trust it.
  if (stored !== null && typeof stored === 'object' && !('authority' in stored) && 'cert' in stored) return null;
  const read = keptSchema.safeParse(stored);
  if (read.success && isWhole(read.data)) return read.data;
  say(`The certificate ${file} cannot be read and is made anew: tell each phone to trust the new one (Settings).`);
  return null;
}

/** The certificate that a phone may be told to trust; null before the house was first let in. */
export function authorityOf(folder: string): string | null {
  return kept(join(folder, FILE))?.authority.cert ?? null;
}

/**
 * The certificate kept in the data folder: made at the first start, and again when the house's addresses have changed or it
 * is about to run out. What vouches for it stays the same, so that a phone is told once.
 *
 * @param folder data folder
 * @param hosts addresses that phones will ask for
 * @param nowMs for how long it has to be good from
 * @param say where a word is due: one that cannot be read is made anew
 */
export async function ownCertificate(
  folder: string,
  hosts: readonly string[],
  nowMs = Date.now(),
  say: Said = () => undefined,
): Promise<Certificate> {
  const file = join(folder, FILE);
  const before = kept(file, say);
  const speaksFor = hosts.every((host) => before?.hosts.includes(host) === true);
  const good = speaksFor && before !== null && before.until - nowMs > SPARE_DAYS * DAY_MS;
  const certificate = before && good ? before : await make(hosts, nowMs, before?.authority);
  // The keys are nobody's business but this server's.
  if (certificate !== before) {
    // Whole or not at all: a cut in mid-write must not cost the phones their trust.
    writeFileSync(`${file}.new`, JSON.stringify(certificate), { mode: 0o600 });
    renameSync(`${file}.new`, file);
  }
  const { key, cert, authority } = certificate;
  return { key, cert: `${cert}\n${authority.cert}`, authority: authority.cert };
}

const EC = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' };
const NAMES = { authority: 'CN=Hervir kitchen', server: 'CN=Hervir' };

/** A new server certificate, under the authority there was or under a new one. */
async function make(hosts: readonly string[], nowMs: number, old: Pair | undefined): Promise<Kept> {
  // A quarter of a second to load, once in two years: not at every start.
  const x509 = await import('@peculiar/x509');
  const { subtle } = webcrypto;
  x509.cryptoProvider.set(webcrypto as unknown as Parameters<typeof x509.cryptoProvider.set>[0]);
  const newKeys = (): Promise<webcrypto.CryptoKeyPair> => subtle.generateKey(EC, true, ['sign', 'verify']);
  const pem = async (key: webcrypto.CryptoKey): Promise<string> =>
    x509.PemConverter.encode(await subtle.exportKey('pkcs8', key), 'PRIVATE KEY');
  const signed = async (params: Partial<X509CertificateCreateParams>): Promise<string> => {
    const certificate = await x509.X509CertificateGenerator.create({
      serialNumber: Buffer.from(webcrypto.getRandomValues(new Uint8Array(8))).toString('hex'),
      issuer: NAMES.authority,
      notBefore: new Date(nowMs - EARLIER_DAYS * DAY_MS),
      signingAlgorithm: EC,
      ...params,
    } as X509CertificateCreateParams);
    return certificate.toString('pem');
  };

  const newAuthority = async (): Promise<Pair> => {
    const { privateKey, publicKey } = await newKeys();
    const cert = await signed({
      subject: NAMES.authority,
      notAfter: new Date(nowMs + AUTHORITY_DAYS * DAY_MS),
      publicKey,
      signingKey: privateKey,
      extensions: [
        new x509.BasicConstraintsExtension(true, 0, true),
        new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
        // Whoever got hold of its key could still speak for no site of the world: RFC 5280, 4.2.1.10.
        new x509.Extension('2.5.29.30', true, await nameConstraints()),
      ],
    });
    return { key: await pem(privateKey), cert };
  };
  const authority = old ?? (await newAuthority());
  const theirs = x509.PemConverter.decodeFirst(authority.key);
  const { privateKey, publicKey } = await newKeys();
  const until = nowMs + SERVER_DAYS * DAY_MS;
  const cert = await signed({
    subject: NAMES.server,
    notAfter: new Date(until),
    publicKey,
    signingKey: await subtle.importKey('pkcs8', theirs, EC, true, ['sign']),
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension([
        { type: 'dns', value: 'localhost' },
        ...hosts.map((value) => ({ type: 'ip' as const, value })),
      ]),
    ],
  });
  return { key: await pem(privateKey), cert, authority, hosts, until };
}

/** The ranges an authority is held to, as its certificate says them. */
async function nameConstraints(): Promise<ArrayBuffer> {
  const { AsnConvert } = await import('@peculiar/asn1-schema');
  const { GeneralName, GeneralSubtree, GeneralSubtrees, NameConstraints } = await import('@peculiar/asn1-x509');
  const names = [{ dNSName: 'localhost' }, ...HELD_TO.map((iPAddress) => ({ iPAddress }))];
  const permitted = names.map((name) => new GeneralSubtree({ base: new GeneralName(name) }));
  return AsnConvert.serialize(new NameConstraints({ permittedSubtrees: new GeneralSubtrees(permitted) }));
}
