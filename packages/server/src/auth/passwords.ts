import { hash, verify } from '@node-rs/argon2';

/** Argon2id with the package's defaults (19 MiB, 2 passes), after OWASP's advice. */
export function hashPassword(password: string): Promise<string> {
  return hash(password);
}

/** A hash that no password has: checking against it costs what a real check costs. */
let decoy: Promise<string> | undefined;

/** Takes the same time whether or not the login exists. */
export async function passwordFits(stored: string | undefined, password: string): Promise<boolean> {
  decoy ??= hash('no password is ever this one');
  const fits = await verify(stored ?? (await decoy), password);
  return stored !== undefined && fits;
}
