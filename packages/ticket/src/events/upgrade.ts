import { CoreError } from '@nodo/core';
import type { RecordedEvent } from '../state/envelope.ts';
import type { EventKind } from './define.ts';

/**
 * The body of a stored event as the present version of its kind writes it.
 * @throws CoreError `event-of-newer-version`: a newer program wrote it, and this one must not guess
 */
export function upgradedBody(
  { version, upgrades = [] }: Pick<EventKind<object, object>, 'version' | 'upgrades'>,
  { type, version: stored, body }: Pick<RecordedEvent, 'type' | 'version' | 'body'>,
): object {
  if (stored > version) throw new CoreError('event-of-newer-version', { type, stored, version });
  if (upgrades.length !== version - 1) throw new CoreError('upgrade-missing', { type, version });
  return upgrades.slice(stored - 1).reduce((older, upgrade) => upgrade(older), body);
}
