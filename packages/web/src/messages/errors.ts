import type { CallError } from '@nodo/client';
import { m } from './index.ts';

/** Why a call came to nothing, in words. */
export function faultWords(fault: CallError, unreachable: string = m.shell.unreachable): string {
  if (fault.kind === 'unreachable') return unreachable;
  return m.refusals[fault.refusal.code](fault.refusal);
}
