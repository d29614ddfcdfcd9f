import 'reflect-metadata';
import { webcrypto } from 'node:crypto';
import { link, mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { AsnConvert } from '@peculiar/asn1-schema';
import { GeneralName, GeneralSubtree, GeneralSubtrees, NameConstraints } from '@peculiar/asn1-x509';
import * as x509 from '@peculiar/x509';
import { HOUSE_NETWORKS } from './addresses';

const DAY_MS = 86_400_000;
const AUTHORITY_DAYS = 3650;
/** Phones take no certificate that is good for longer than this, even of an authority they trust. */
const SERVER_DAYS = 397;
const KEY = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const ID_NAME_CONSTRAINTS = '2.5.29.30';

/** A small authority of one's own: it vouches for this computer in the house's network, and for nothing else. */
export interface Authority {
  readonly certificate: x509.X509Certificate;
  readonly key: CryptoKey;
}

/** Its own key may not vouch for other names than addresses of house networks: stolen, it opens no other door. */
function houseOnly(): x509.Extension {
  const permitted = [
    ...HOUSE_NETWORKS.map(([network, bits]) => new GeneralName({ iPAddress: `${network}/${bits}` })),
    // Naming one name forbids all others.
    new GeneralName({ dNSName: 'localhost' }),
  ].map((base) => new GeneralSubtree({ base }));
  const constraints = new NameConstraints({ permittedSubtrees: new GeneralSubtrees(permitted) });
  return new x509.Extension(ID_NAME_CONSTRAINTS, true, AsnConvert.serialize(constraints));
}

/** From a day before, since clocks differ, for so many days. */
const goodFor = (days: number) => ({
  notBefore: new Date(Date.now() - DAY_MS),
  notAfter: new Date(Date.now() + days * DAY_MS),
});

/** A name as it can stand in a certificate's. */
const plain = (name: string): string => name.replace(/[^\w .-]/g, '').slice(0, 40) || 'this computer';

async function newAuthority(): Promise<Authority> {
  const keys = await webcrypto.subtle.generateKey(KEY, true, ['sign', 'verify']);
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    name: `CN=Red Shelf on ${plain(hostname())}`,
    keys,
    signingAlgorithm: KEY,
    ...goodFor(AUTHORITY_DAYS),
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      houseOnly(),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return { certificate, key: keys.privateKey };
}

const pemOfKey = async (key: CryptoKey): Promise<string> =>
  x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY');

async function readAuthority(file: string): Promise<Authority | null> {
  const text = await readFile(file, 'utf8').catch(() => null);
  if (text === null) return null;
  const { privateKey, certificate } = Object.fromEntries(
    x509.PemConverter.decodeWithHeaders(text).map(({ type, rawData }) => [
      type === 'PRIVATE KEY' ? 'privateKey' : 'certificate',
      rawData,
    ]),
  );
  if (!privateKey || !certificate) throw new Error(`${file} holds no authority`);
  const key = await webcrypto.subtle.importKey('pkcs8', privateKey, KEY, true, ['sign']);
  return { key, certificate: new x509.X509Certificate(certificate) };
}

/** The authority kept in a folder, made the first time; readable by the person alone. */
export async function authorityIn(folder: string): Promise<Authority> {
  const file = join(folder, 'authority.pem');
  const known = await readAuthority(file);
  if (known && known.certificate.notAfter.getTime() > Date.now() + SERVER_DAYS * DAY_MS) return known;
  if (known) await rm(file);
  const made = await newAuthority();
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const beside = `${file}.${process.pid}.part`;
  await writeFile(beside, `${await pemOfKey(made.key)}\n${made.certificate.toString('pem')}\n`, {
    mode: 0o600,
  });
  try {
    // Another server of this folder may have been quicker: then its authority is the one.
    await link(beside, file);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
  } finally {
    await rm(beside, { force: true });
  }
  return (await readAuthority(file)) ?? made;
}

/** A certificate of this authority for addresses of this computer, with a key that is never on disk; both as PEM. */
export async function certificateFor(
  { certificate, key }: Authority,
  addresses: readonly string[],
): Promise<{ key: string; cert: string }> {
  const keys = await webcrypto.subtle.generateKey(KEY, true, ['sign', 'verify']);
  const made = await x509.X509CertificateGenerator.create({
    // A name that reads like an address would be held against what the authority may vouch for.
    subject: 'CN=Red Shelf in this house',
    issuer: certificate.subject,
    publicKey: keys.publicKey,
    signingKey: key,
    signingAlgorithm: KEY,
    ...goodFor(SERVER_DAYS),
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(addresses.map((value) => ({ type: 'ip' as const, value }))),
      await x509.AuthorityKeyIdentifierExtension.create(certificate),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return { key: await pemOfKey(keys.privateKey), cert: made.toString('pem') };
}

/** SHA-256 of a certificate in pairs of hexadecimal digits, as phones show it. */
export async function fingerprintOf({ certificate }: Authority): Promise<string> {
  const digest = Buffer.from(await certificate.getThumbprint('SHA-256')).toString('hex');
  return (digest.toUpperCase().match(/../g) ?? []).join(':');
}
