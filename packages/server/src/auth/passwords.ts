import { hash, verify } from '@node-rs/argon2';
import { inTurn } from '../store/inTurn.ts';

/**
 * One after the other: each takes 19 MiB and a core, so that many guesses at once would take the
 * whole computer from those who work.
 */
const queue = inTurn();
const ONE = 'password';

/** Argon2id with the package's defaults (19 MiB, 2 passes), after OWASP's advice. */
export function hashPassword(password: string): Promise<string> {
  return queue(ONE, () => hash(password));
}

/** A hash that no password has: checking against it costs what a real check costs. */
let decoy: Promise<string> | undefined;

/** Takes the same time whether or not the login exists. */
export async function passwordFits(stored: string | undefined, password: string): Promise<boolean> {
  decoy ??= hashPassword('no password is ever this one');
  const against = stored ?? (await decoy);
  const fits = await queue(ONE, () => verify(against, password));
  return stored !== undefined && fits;
}
