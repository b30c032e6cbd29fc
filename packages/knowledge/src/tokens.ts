import type { Requirement } from '@nodo/core';

/** A requirement as the duty table writes it: `check:x`, `check:x=normal`, `action:x`, `finding:x`. */
export function parseRequirement(text: string): Requirement | undefined {
  const match = /^(check|action|finding):([a-z0-9-]+)(=normal)?$/.exec(text);
  const [, kind, id, normal] = match ?? [];
  if (kind === undefined || id === undefined) return undefined;
  if (kind === 'check') return { kind, id, normal: normal !== undefined };
  if (normal !== undefined) return undefined;
  return kind === 'action' ? { kind, id } : { kind: 'finding', id };
}

/** A check's condition: `check-id` (done) or `check-id=normal` (done and nothing found). */
export function parseCheckCondition(text: string): Requirement {
  const normal = text.endsWith('=normal');
  return { kind: 'check', id: normal ? text.slice(0, -'=normal'.length) : text, normal };
}

/** What raises a duty, split: `finding:skip` gives finding and skip. */
export function splitToken(token: string): { readonly kind: string; readonly id: string } {
  const colon = token.indexOf(':');
  return { kind: token.slice(0, colon), id: token.slice(colon + 1) };
}
