// The certificates' package finds its parts by metadata.
import 'reflect-metadata';
import { X509Certificate as NodeCertificate, randomBytes, webcrypto } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { dirname, join } from 'node:path';
import {
  AuthorityKeyIdentifierExtension,
  BasicConstraintsExtension,
  cryptoProvider,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  SubjectKeyIdentifierExtension,
  X509Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509';
import { SetupFault } from './fault.mjs';
import { writeWhole } from './writeWhole.mjs';

cryptoProvider.set(/** @type {Crypto} */ (/** @type {unknown} */ (webcrypto)));

const KEY = { name: 'ECDSA', namedCurve: 'P-256' };
const SIGNED = { name: 'ECDSA', hash: 'SHA-256' };
const DAY_MS = 86_400_000;
const AUTHORITY_DAYS = 3650;
/** Browsers take no certificate of a server that holds for longer. */
const SERVER_DAYS = 397;
const RENEWED_BEFORE_DAYS = 30;
/** Clocks of other devices may be slow. */
const SINCE_DAYS = 1;

/** @typedef {{ authority: string, cert: string, key: string, names: string[] }} Certificates all PEM */

/** By what other devices may call this computer. @returns {string[]} */
export function ownNames() {
  const addresses = Object.values(networkInterfaces())
    .flatMap((interfaces) => interfaces ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
  const name = hostname().toLowerCase();
  return [...new Set([...addresses, name, `${name}.local`, 'localhost', '127.0.0.1'])];
}

/**
 * The certificates of this installation: an authority of its own, made once, and a certificate of
 * the server under it, made anew when it ends soon or the computer is called otherwise.
 * @param {string} home folder that keeps them; the keys are the owner's alone.
 * @param {string[]} names
 * @param {Date} now
 * @returns {Promise<Certificates>}
 */
export async function certificatesIn(home, names, now) {
  mkdirSync(home, { recursive: true, mode: 0o700 });
  const file = (/** @type {string} */ name) => join(home, name);
  if (!existsSync(file('authority.key')) && !existsSync(file('authority.crt'))) {
    const made = await makeAuthority(now);
    writeWhole(file('authority.key'), made.key);
    writeWhole(file('authority.crt'), made.cert);
  }
  await assertWhole(file('authority.crt'), file('authority.key'));
  const authority = readFileSync(file('authority.crt'), 'utf8');
  if (!existsSync(file('server.key')) || !isGood(file('server.crt'), names, authority, now)) {
    const made = await makeServer(
      authority,
      readFileSync(file('authority.key'), 'utf8'),
      names,
      now,
    );
    writeFileSync(file('server.crt'), made.cert);
    writeFileSync(file('server.key'), made.key, { mode: 0o600 });
  }
  return {
    authority,
    cert: readFileSync(file('server.crt'), 'utf8'),
    key: readFileSync(file('server.key'), 'utf8'),
    names,
  };
}

/**
 * The devices of the shop trust this authority: another one made in its place would be trusted by none.
 * @param {string} cert
 * @param {string} key
 * @throws SetupFault where either is missing or damaged
 */
async function assertWhole(cert, key) {
  for (const path of [cert, key]) {
    try {
      const text = readFileSync(path, 'utf8');
      if (path === cert) new NodeCertificate(text);
      else await signingKeyIn(text);
    } catch (fault) {
      const { code } = /** @type {{ code?: string }} */ (fault);
      throw new SetupFault(
        `${path} is ${code === 'ENOENT' ? 'missing' : 'damaged'}: the devices of the shop trust it.`,
        `Put it back from a copy. To begin with another one, move ${dirname(path)} away; then each device installs the new certificate.`,
      );
    }
  }
}

/** @param {string} pem */
function signingKeyIn(pem) {
  const key = PemConverter.decodeFirst(pem);
  return webcrypto.subtle.importKey('pkcs8', key, KEY, false, ['sign']);
}

/**
 * @param {string} path
 * @param {string[]} names
 * @param {string} authority
 * @param {Date} now
 */
function isGood(path, names, authority, now) {
  const cert = readCertificate(path);
  if (!cert) return false;
  const left = Date.parse(cert.validTo) - now.getTime();
  const covers = names.every(
    (name) => cert.checkHost(name) !== undefined || cert.checkIP(name) !== undefined,
  );
  return (
    covers &&
    left > RENEWED_BEFORE_DAYS * DAY_MS &&
    cert.checkIssued(new NodeCertificate(authority))
  );
}

/** Undefined for one that is missing or damaged: it is made anew. @param {string} path */
function readCertificate(path) {
  try {
    return new NodeCertificate(readFileSync(path));
  } catch {
    return undefined;
  }
}

/** @param {Date} now */
async function makeAuthority(now) {
  const keys = await webcrypto.subtle.generateKey(KEY, true, ['sign', 'verify']);
  const cert = await X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: `CN=Nodo of this shop ${randomBytes(3).toString('hex')}`,
    ...validity(now, AUTHORITY_DAYS),
    signingAlgorithm: SIGNED,
    keys,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return { cert: cert.toString('pem'), key: await keyText(keys.privateKey) };
}

/**
 * @param {string} authorityPem
 * @param {string} authorityKey
 * @param {string[]} names
 * @param {Date} now
 */
async function makeServer(authorityPem, authorityKey, names, now) {
  const authority = new X509Certificate(authorityPem);
  const signingKey = await signingKeyIn(authorityKey);
  const keys = await webcrypto.subtle.generateKey(KEY, true, ['sign', 'verify']);
  const cert = await X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: 'CN=Nodo',
    issuer: authority.subject,
    ...validity(now, SERVER_DAYS),
    signingAlgorithm: SIGNED,
    publicKey: keys.publicKey,
    signingKey,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension(
        /** @type {import('@peculiar/x509').JsonGeneralNames} */ (
          names.map((value) => ({ type: isIP(value) ? 'ip' : 'dns', value }))
        ),
      ),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
      await AuthorityKeyIdentifierExtension.create(authority.publicKey),
    ],
  });
  return { cert: cert.toString('pem'), key: await keyText(keys.privateKey) };
}

/** Positive, and never twice. */
function serial() {
  return `01${randomBytes(15).toString('hex')}`;
}

/**
 * @param {Date} now
 * @param {number} days
 */
function validity(now, days) {
  return {
    notBefore: new Date(now.getTime() - SINCE_DAYS * DAY_MS),
    notAfter: new Date(now.getTime() + (days - SINCE_DAYS) * DAY_MS),
  };
}

/** @param {webcrypto.CryptoKey} key */
async function keyText(key) {
  return PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY');
}
