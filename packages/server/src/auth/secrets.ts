import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';

/** Letters and digits that nobody takes for each other when they are read out. */
const READABLE = 'abcdefghjkmnpqrstuvwxyz23456789';
const CODE_LENGTH = 16;

/** What a lead reads out or writes down: about 79 bits, in groups of four. */
export function newCode(): string {
  let code = '';
  while (code.length < CODE_LENGTH) {
    for (const byte of randomBytes(CODE_LENGTH)) {
      // Bytes beyond the last whole run of the alphabet would prefer its first letters.
      if (byte >= 256 - (256 % READABLE.length) || code.length === CODE_LENGTH) continue;
      code += READABLE.charAt(byte % READABLE.length);
    }
  }
  return code.replace(/.{4}(?=.)/g, '$&-');
}

/** As it is compared: without the hyphens, spaces and capitals of whoever typed it. */
export function plainCode(typed: string): string {
  return typed.toLowerCase().replaceAll(/[^a-z0-9]/g, '');
}

/** As sign-in names are compared: A to Z in small, which every language does alike. */
export function plainLogin(typed: string): string {
  return typed.trim().replaceAll(/[A-Z]/g, (letter) => letter.toLowerCase());
}

/** Whether two secrets are one, compared in a time that says nothing of them. */
export function isSameText(one: string | undefined, other: string): boolean {
  const [a, b] = [Buffer.from(one ?? ''), Buffer.from(other)];
  return a.length === b.length && timingSafeEqual(a, b);
}

/** 256 bits, as a part of an address. */
export function newToken(): string {
  return randomBytes(32).toString('base64url');
}

/** For secrets that are long and random: no slow hash is needed. */
export function hashOfSecret(secret: string): string {
  return createHash('sha256').update(secret).digest('hex');
}
