import type { CallFault } from '../api/call.ts';
import { m } from './index.ts';

/** Why a call came to nothing, in words. */
export function faultWords(fault: CallFault): string {
  if (fault.kind === 'unreachable') return m.shell.unreachable;
  return m.refusals[fault.refusal.code](fault.refusal);
}
