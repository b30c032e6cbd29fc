import type { ZxcvbnFactory } from '@zxcvbn-ts/core';

/** Of five steps, from 0: below a million guesses, which the most common passwords and their turns are within. */
const EASY = 1;
/** What lies behind makes no password easier. */
const LOOKED_AT = 100;

let estimate: Promise<ZxcvbnFactory> | undefined;

/** Read when a password is set for the first time: the list of common ones is large. */
async function open(): Promise<ZxcvbnFactory> {
  const [{ ZxcvbnFactory: Factory }, { adjacencyGraphs, dictionary }] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
  ]);
  return new Factory({ graphs: adjacencyGraphs, dictionary });
}

/**
 * Whether a password is among those that are tried first: the common ones of known leaks and their turns, rows of keys,
 * repetitions, what somebody is called. Estimated as zxcvbn does (Wheeler, USENIX Security 2016).
 * @param about what everybody knows of its owner
 */
export async function isEasy(password: string, about: readonly string[]): Promise<boolean> {
  estimate ??= open();
  const called = about.flatMap((name) => [...name.split(/\s+/), name.replaceAll(/\s/g, '')]);
  const { score } = (await estimate).check(password.slice(0, LOOKED_AT), called);
  return score <= EASY;
}
