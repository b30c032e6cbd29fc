import { CoreError } from '@nodo/core';
import type { EventKind } from './define.ts';

/** As much of a kind of event as its upgrades need. */
type Versioned = Pick<EventKind<string, object, object>, 'type' | 'version' | 'upgrades'>;

/**
 * The body of a stored event as the present version of its kind writes it.
 * @throws CoreError `event-of-newer-version`: a newer program wrote it, and this one must not guess
 */
export function upgradedBody(
  { type, version, upgrades = [] }: Versioned,
  stored: number,
  body: object,
): object {
  if (stored > version) throw new CoreError('event-of-newer-version', { type, stored, version });
  if (upgrades.length !== version - 1) throw new CoreError('upgrade-missing', { type, version });
  return upgrades.slice(stored - 1).reduce((older, upgrade) => upgrade(older), body);
}
