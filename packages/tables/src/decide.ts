import type { Actor } from '@nodo/kernel';
import { type Refusal, refuse } from '@nodo/kernel';
import {
  compileKnowledge,
  type KnowledgeVersion,
  type TableChange,
  valueInTables,
  valueOfChange,
  versionWith,
  withChange,
} from '@nodo/knowledge';
import { applyTableEvent, type ChangeRequests, changesInForce } from './changeRequests.ts';
import type { TableCommand, TableEvent } from './events.ts';

export type TableVerdict =
  | { readonly ok: true; readonly event: TableEvent }
  | { readonly ok: false; readonly refusal: Refusal };

/** The tables that a shop judges with. */
export function versionInForce(requests: ChangeRequests): KnowledgeVersion {
  return versionWith(changesInForce(requests));
}

/**
 * Whether a command becomes the next event of the shop's tables, and which.
 * @param receivedAt the instant at which the server received it.
 */
export function decideTableCommand(
  requests: ChangeRequests,
  command: TableCommand,
  actor: Actor,
  receivedAt: string,
): TableVerdict {
  const refusal = refusalOf(requests, command, actor);
  if (refusal) return { ok: false, refusal };
  const { id, observedAt, device } = command;
  const stored = {
    id,
    seq: requests.seq + 1,
    version: 1,
    actor,
    device,
    observedAt,
    receivedAt,
  } as const;
  if (command.type === 'change-proposed') {
    return { ok: true, event: { ...stored, type: command.type, body: command.command } };
  }
  // Told as if it had happened, to learn what the shop would judge with.
  const asIf = {
    ...stored,
    type: command.type,
    body: { ...command.command, to: '' },
  } as TableEvent;
  const to = versionInForce(applyTableEvent(requests, asIf)).knowledge.hash;
  return { ok: true, event: { ...asIf, body: { ...command.command, to } } as TableEvent };
}

function refusalOf(
  requests: ChangeRequests,
  command: TableCommand,
  { role }: Actor,
): Refusal | undefined {
  if (role !== 'lead') return refuse('role-may-not', 'type', { role });
  if (command.type === 'change-proposed') {
    return refusalOfChange(versionInForce(requests), command.command.change, 'command.change');
  }
  const proposal = requests.proposals.find(({ id }) => id === command.command.proposal);
  if (!proposal) return refuse('no-such-proposal', 'command.proposal');
  if (command.type === 'change-withdrawn') {
    return proposal.state === 'withdrawn'
      ? refuse('proposal-decided', 'command.proposal', { state: proposal.state })
      : undefined;
  }
  if (proposal.state !== 'open') {
    return refuse('proposal-decided', 'command.proposal', { state: proposal.state });
  }
  const present = versionInForce(requests);
  if (command.command.against !== present.knowledge.hash) {
    return refuse('tables-moved', 'command.against');
  }
  return refusalOfChange(present, proposal.change, 'command.proposal');
}

/** Why a change cannot be made to a version: unknown, no change at all, or unsound after it. */
export function refusalOfChange(
  { source, knowledge }: KnowledgeVersion,
  change: TableChange,
  path: string,
): Refusal | undefined {
  const changed = withChange(source, change);
  if (!changed) return refuse('not-in-the-tables', path);
  if (valueInTables(knowledge, change) === valueOfChange(change)) return refuse('already-so', path);
  const compiled = compileKnowledge(changed);
  return compiled.ok ? undefined : refuse('tables-unsound', path, { faults: compiled.faults });
}
