import { type CauseSource, type Mechanism, STRENGTHS } from '../schema/schema.ts';
import type { Inspection } from './inspection.ts';

/** Causes, what they show, and that something treats each of them. */
export function lookAtCauses(inspection: Inspection): void {
  const definers = new Map<string, string>();
  for (const finding of inspection.findings.values()) {
    if (finding.defines !== undefined) definers.set(finding.id, finding.defines);
  }
  for (const mechanism of inspection.source.mechanisms) {
    for (const [number, standing] of Object.entries(standingOf(mechanism))) {
      if (standing === undefined) inspection.report('no-standing', mechanism.id, number);
    }
    for (const cause of mechanism.causes) {
      lookAtCause(inspection, `${mechanism.id} / ${cause.id}`, cause, definers);
    }
    for (const action of mechanism.actions) {
      if (action.putsBack !== undefined && !inspection.accessIds.has(action.putsBack)) {
        inspection.report('unknown-access', `${mechanism.id} / ${action.id}`, action.putsBack);
      }
      const path = `${mechanism.id} / ${action.id}`;
      inspection.range(`${path} / minutes`, action.minutes, 0, 240);
      for (const cause of action.treats) {
        if (!inspection.causes.has(cause))
          inspection.report('unknown-cause', `${path} / treats`, cause);
      }
    }
  }
  const treated = new Set([...inspection.actions.values()].flatMap(({ treats }) => treats));
  for (const id of inspection.causes.keys()) {
    if (!treated.has(id)) inspection.report('cause-untreated', id, 'no action treats it');
  }
}

const NUMBERS = ['priors', 'strengths', 'leaks', 'minutes'] as const;

/** The standing of each kind of number; read as data, where the types cannot vouch for it. */
function standingOf({ standing }: Mechanism): Readonly<Record<string, string | undefined>> {
  const given = new Map<string, string>(Object.entries((standing as object | undefined) ?? {}));
  return Object.fromEntries(NUMBERS.map((number) => [number, given.get(number)]));
}

function lookAtCause(
  inspection: Inspection,
  path: string,
  cause: CauseSource,
  definers: ReadonlyMap<string, string>,
): void {
  inspection.range(`${path} / perMille`, cause.perMille, 0.01, 999);
  inspection.range(`${path} / fixMinutes`, cause.fixMinutes, 0, 240);
  inspection.trait(`${path} / applies`, cause.applies);

  const shown = new Set<string>();
  for (const [strength, findings] of Object.entries(cause.shows)) {
    if (!(strength in STRENGTHS))
      inspection.report('unknown-strength', `${path} / shows`, strength);
    for (const finding of findings) {
      if (!inspection.findings.has(finding)) {
        inspection.report('unknown-finding', `${path} / shows / ${strength}`, finding);
      }
      if (shown.has(finding)) inspection.report('link-twice', `${path} / shows`, finding);
      shown.add(finding);
      const defined = definers.get(finding);
      if (defined !== undefined && defined !== cause.id) {
        inspection.report(
          'definer-shared',
          `${path} / shows`,
          `${finding} is ${defined} by definition`,
        );
      }
    }
  }
  if (shown.size === 0) inspection.report('cause-unseen', path, 'shows no finding');
  for (const [finding, defined] of definers) {
    if (defined === cause.id && !shown.has(finding)) {
      inspection.report('definer-unlinked', `${path} / shows`, finding);
    }
  }
}
