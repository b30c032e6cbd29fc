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

/** A check that another one waits for, and what it must have shown. */
export interface CheckCondition {
  readonly id: string;
  readonly shown: 'anything' | 'normal' | 'found';
}

/** A check's condition: `check-id` (done), `check-id=normal` (nothing found), `check-id=found` (something). */
export function parseCheckCondition(text: string): CheckCondition {
  for (const shown of ['normal', 'found'] as const) {
    if (text.endsWith(`=${shown}`)) return { id: text.slice(0, -shown.length - 1), shown };
  }
  // Anything else after an equals sign stays in the id, which then names no check and is reported.
  return { id: text, shown: 'anything' };
}

/** What raises a duty, split: `finding:skip` gives finding and skip. */
export function splitToken(token: string): { readonly kind: string; readonly id: string } {
  const colon = token.indexOf(':');
  return { kind: token.slice(0, colon), id: token.slice(colon + 1) };
}
