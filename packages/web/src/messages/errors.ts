import type { CallError } from '@nodo/client';
import { m } from './index.ts';

type Refused = Extract<CallError, { kind: 'refused' }>;

/**
 * Why a call came to nothing, in words.
 * @param fault what the call ended with; what broke in the page itself came to no answer either
 */
export function faultWords(fault: unknown, unreachable: string = m.shell.unreachable): string {
  return isRefused(fault) ? m.refusals[fault.refusal.code](fault.refusal) : unreachable;
}

function isRefused(fault: unknown): fault is Refused {
  return typeof fault === 'object' && (fault as Partial<Refused> | null)?.kind === 'refused';
}
