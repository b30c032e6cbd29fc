import type { CheckSource, FindingSource } from '../schema/schema.ts';
import { parseCheckCondition } from '../schema/tokens.ts';
import type { Inspection } from './inspection.ts';

/** Checks, their findings, and the order they ask for. */
export function lookAtChecks(inspection: Inspection): void {
  for (const mechanism of inspection.source.mechanisms) {
    for (const check of mechanism.checks) {
      lookAtCheck(inspection, `${mechanism.id} / ${check.id}`, check);
    }
  }
  for (const id of inspection.checks.keys()) {
    if (reachesItself(id, (at) => requiredChecks(inspection.checks.get(at)))) {
      inspection.report('requires-circle', id, 'must be done before itself');
    }
  }
}

function requiredChecks(check: CheckSource | undefined): readonly string[] {
  return (check?.requires ?? []).map((condition) => parseCheckCondition(condition).id);
}

function lookAtCheck(inspection: Inspection, path: string, check: CheckSource): void {
  inspection.range(`${path} / minutes`, check.minutes, 0.05, 60);
  inspection.trait(`${path} / applies`, check.applies);
  if (check.normal.trim() === '')
    inspection.report('check-without-normal', path, 'normal is empty');
  if (check.findings.length === 0)
    inspection.report('check-without-finding', path, 'findings is empty');
  const off = check.notWhile === 'open' ? [] : (check.notWhile ?? []);
  const states = [check.access, check.accessFrontLoading, ...off];
  for (const access of [...states, ...(check.notWhileFrontLoading ?? [])]) {
    if (access !== undefined && !inspection.accessIds.has(access)) {
      inspection.report('unknown-access', path, access);
    }
  }
  for (const required of requiredChecks(check)) {
    if (!inspection.checks.has(required)) {
      inspection.report('unknown-check', `${path} / requires`, required);
    }
  }
  for (const action of check.sewnAsAfter ?? []) {
    if (!inspection.actions.has(action)) {
      inspection.report('unknown-action', `${path} / sewnAsAfter`, action);
    }
  }
  if (check.trialTreats) lookAtTrial(inspection, path, check, check.trialTreats);
  for (const finding of check.findings) {
    inspection.range(`${path} / ${finding.id} / leak`, finding.leak, 0.00001, 0.5);
    inspection.trait(`${path} / ${finding.id} / applies`, finding.applies);
    lookAtSymptom(inspection, `${path} / ${finding.id}`, check, finding);
    if (finding.defines !== undefined && !inspection.causes.has(finding.defines)) {
      inspection.report('unknown-cause', `${path} / ${finding.id} / defines`, finding.defines);
    }
  }
}

/** A symptom has its share of the leak; what observes one sews, and no cause links to it. */
function lookAtSymptom(
  inspection: Inspection,
  path: string,
  { needs }: CheckSource,
  { id, leak, symptom, observes }: FindingSource,
): void {
  if (symptom) inspection.range(`${path} / unknown`, symptom.unknown, 0.00001, leak);
  if (observes === undefined) return;
  const isSymptom = inspection.findings.get(observes)?.symptom !== undefined;
  if (observes !== 'reported' && !isSymptom) {
    inspection.report('unknown-finding', `${path} / observes`, observes);
  }
  if (needs !== 'sews') inspection.report('observes-unsewn', path, 'only sewing shows a symptom');
  for (const cause of inspection.causes.values()) {
    if (Object.values(cause.shows).some((shown) => shown.includes(id))) {
      inspection.report('observation-linked', path, cause.id);
    }
  }
}

/** A trial answers one question; its chance is worked out, so that no cause may link to it. */
function lookAtTrial(
  inspection: Inspection,
  path: string,
  { findings, needs }: CheckSource,
  treats: readonly string[],
): void {
  for (const cause of treats) {
    if (!inspection.causes.has(cause)) {
      inspection.report('unknown-cause', `${path} / trialTreats`, cause);
    }
  }
  if (findings.length > 1 || needs !== 'sews') {
    inspection.report('trial-unclear', path, 'a trial sews and has one finding');
  }
  for (const cause of inspection.causes.values()) {
    for (const { id } of findings) {
      if (Object.values(cause.shows).some((shown) => shown.includes(id))) {
        inspection.report('trial-linked', `${path} / ${id}`, cause.id);
      }
    }
  }
}

/** What can be opened, from where; each variant leads back to the closed machine. */
export function lookAtAccess(inspection: Inspection): void {
  const { access } = inspection.source;
  for (const state of access) {
    inspection.range(`access / ${state.id} / openMinutes`, state.openMinutes, 0, 60);
    inspection.range(`access / ${state.id} / closeMinutes`, state.closeMinutes, 0, 60);
    inspection.trait(`access / ${state.id} / applies`, state.applies);
    for (const look of state.firstLooks ?? []) {
      if (!inspection.checks.has(look)) {
        inspection.report('unknown-check', `access / ${state.id} / firstLooks`, look);
      }
    }
    if (state.from !== undefined && !inspection.accessIds.has(state.from)) {
      inspection.report('unknown-access', `access / ${state.id} / from`, state.from);
    }
    const leadsTo = (id: string): readonly string[] =>
      access.filter((other) => other.id === id).flatMap(({ from }) => from ?? []);
    if (reachesItself(state.id, leadsTo)) {
      inspection.report('access-circle', `access / ${state.id}`, 'is reached from itself');
    }
  }
}

function reachesItself(start: string, next: (id: string) => readonly string[]): boolean {
  const seen = new Set<string>();
  const left = [...next(start)];
  for (let at = left.pop(); at !== undefined; at = left.pop()) {
    if (at === start) return true;
    if (seen.has(at)) continue;
    seen.add(at);
    left.push(...next(at));
  }
  return false;
}
