import type { DutySource } from '../schema/schema.ts';
import { parseRequirement, splitToken } from '../schema/tokens.ts';
import type { Inspection } from './inspection.ts';

/** What a duty can hold up as a whole: checks by what they need of the machine. */
const HELD_KINDS: ReadonlySet<string> = new Set(['sews', 'turns']);

/** Duties: every token resolves, and every debt can be cleared. */
export function lookAtDuties(inspection: Inspection): void {
  for (const duty of inspection.source.duties) {
    for (const token of [...duty.raisedBy, ...Object.keys(duty.clearedByRaiser ?? {})]) {
      lookAtRaiser(inspection, duty, token);
    }
    for (const requirement of requirementsOf(duty))
      lookAtRequirement(inspection, duty, requirement);
    for (const step of duty.before ?? []) {
      const { kind, id } = splitToken(step);
      const known = id === '*' ? HELD_KINDS.has(kind) : inspection.checks.has(id);
      if (!known) inspection.report('unknown-token', `duties / ${duty.id} / before`, step);
    }
    if (requirementsOf(duty).length === 0) {
      inspection.report(
        'duty-cannot-clear',
        `duties / ${duty.id}`,
        'neither a gate nor a way to clear it',
      );
    }
  }
}

function requirementsOf(duty: DutySource): readonly string[] {
  return [
    ...(duty.gate ?? []),
    ...(duty.clearedAll ?? []),
    ...(duty.clearedAllWhere ?? []).flatMap(({ clearedAll }) => clearedAll),
    ...(duty.clearedAny ?? []),
    ...Object.values(duty.clearedByRaiser ?? {}).flatMap((cleared) => cleared ?? []),
  ];
}

function lookAtRaiser(inspection: Inspection, duty: DutySource, token: string): void {
  const { kind, id } = splitToken(token);
  const known =
    token === 'repair:*' ||
    (kind === 'finding' && inspection.findings.has(id)) ||
    (kind === 'check' && inspection.checks.has(id)) ||
    (kind === 'action' && inspection.actions.has(id)) ||
    ((kind === 'access' || kind === 'closed') && inspection.accessIds.has(id)) ||
    (kind === 'cause' && inspection.causes.has(id));
  if (!known) inspection.report('unknown-token', `duties / ${duty.id} / raisedBy`, token);
}

function lookAtRequirement(inspection: Inspection, duty: DutySource, text: string): void {
  const path = `duties / ${duty.id}`;
  const requirement = parseRequirement(text);
  if (!requirement) {
    inspection.report('unknown-token', path, text);
    return;
  }
  switch (requirement.kind) {
    case 'check':
      if (!inspection.checks.has(requirement.id)) {
        inspection.report('unknown-check', path, requirement.id);
      }
      break;
    case 'action':
      if (!inspection.actions.has(requirement.id)) {
        inspection.report('unknown-action', path, requirement.id);
      }
      break;
    case 'finding':
      if (!inspection.findings.has(requirement.id)) {
        inspection.report('unknown-finding', path, requirement.id);
      }
      break;
  }
}
