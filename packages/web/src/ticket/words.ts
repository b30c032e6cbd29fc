import type { FindingWeight, Requirement } from '@nodo/core';
import { lowerFirst } from '@nodo/kernel';
import { type FamilyModel, type Hazard, type Needs, parseRequirement } from '@nodo/knowledge';
import { IN_WORDS, type Ticket } from '@nodo/ticket';
import { later } from '../messages/later.ts';

/** The text of a finding: what was seen, or the check's own text for nothing seen. */
export function findingWords(model: FamilyModel, finding: string, present: boolean): string {
  const known = model.findings.get(finding);
  if (!known) return finding;
  if (present) return lowerFirst(known.answer);
  const check = model.checks.get(known.check);
  // Complaint and context have no normal answer worth telling: the question was denied.
  const single = check !== undefined && check.findings.length === 1;
  return single ? lowerFirst(check.normal) : later.bench.causes.notSeen(lowerFirst(known.answer));
}

/** The readings that carry a cause, strongest first, as one line. */
export function reasonWords(
  model: FamilyModel,
  weights: readonly FindingWeight[] | undefined,
  most = 2,
): { readonly speaksFor: string; readonly against: string } {
  const line = (wanted: (weight: number) => boolean): string =>
    (weights ?? [])
      .filter(({ weight }) => wanted(weight))
      .slice(0, most)
      .map(({ finding, present }) => findingWords(model, finding, present))
      .join(', ');
  return {
    speaksFor: line((weight) => weight >= WORTH_SHOWING),
    against: line((weight) => weight <= -WORTH_SHOWING),
  };
}

/** Weights below this (odds of 2 to 1) are not shown: natural logarithm of 2. */
const WORTH_SHOWING = 0.7;

/** What a duty still misses, as what to do. */
export function requirementWords(model: FamilyModel, requirement: Requirement): string {
  switch (requirement.kind) {
    case 'check':
      return model.checks.get(requirement.id)?.title ?? requirement.id;
    case 'action':
      return model.actions.get(requirement.id)?.todo ?? requirement.id;
    case 'finding':
      return model.findings.get(requirement.id)?.answer ?? requirement.id;
  }
}

/** A gate's requirement as the tables write it, as what must be so. */
export function gateWords(model: FamilyModel, text: string): string {
  const requirement = parseRequirement(text);
  if (requirement?.kind === 'action') {
    return model.actions.get(requirement.id)?.title ?? requirement.id;
  }
  return requirement ? requirementWords(model, requirement) : text;
}

/** What is off the machine, outermost first, as one line. */
export function openWords(model: FamilyModel, ticket: Ticket): string {
  return model.access
    .filter(({ id }) => ticket.open.has(id))
    .map(({ title }) => title)
    .join(', ');
}

/** The caution of a check. With the foot off the pedal nothing is sewn. */
export function hazardWords(hazard: Hazard, needs: Needs): string {
  return hazard === 'needle' && needs === 'sews'
    ? later.bench.sewingHazard
    : later.bench.hazards[hazard];
}

/** What a cause is called; of what no table names, that. */
export function causeName(model: FamilyModel, cause: string): string {
  return model.causes.get(cause)?.name ?? later.bench.causes.unknown;
}

/** What is owed is called: a symptom, a fault that was seen, or a complaint in words alone. */
export function symptomName(model: FamilyModel, symptom: string): string {
  if (symptom === IN_WORDS) return later.bench.step.wordsAlone;
  return model.findings.get(symptom)?.answer ?? causeName(model, symptom);
}

/** So much of a long text is read at a glance. Ours, no source. */
const AT_A_GLANCE = 150;

/** The first sentences of a text, as many as a glance takes in; at least one. */
export function inShort(text: string): string {
  const sentences = text.split(/(?<=[.!?])\s+/);
  let short = sentences[0] ?? '';
  for (const sentence of sentences.slice(1)) {
    if (short.length + sentence.length >= AT_A_GLANCE) break;
    short += ` ${sentence}`;
  }
  return short;
}
