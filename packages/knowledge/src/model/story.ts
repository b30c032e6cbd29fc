import {
  assessDuties,
  type DutyFact,
  type DutyStatus,
  openingChain,
  type Requirement,
  type Treatment,
} from '@nodo/core';
import type { ActionId } from '../ids.ts';
import type { PlanPolicy } from '../schema/schema.ts';
import { type GivenAnswer, SEWN_AS_FOUND } from './evidence.ts';
import type { FamilyModel } from './familyModel.ts';
import { gateRequirements, isPartOff, isSeenRunning, type Standing } from './machineNow.ts';
import type { DutyWays } from './settle.ts';

/** One thing that happens to a machine, as a file or a bench describes it. */
export type StoryStep =
  | { readonly kind: 'found'; readonly findings: ReadonlyMap<string, boolean> }
  | { readonly kind: 'did'; readonly action: string }
  /** Sewn as it failed, so many minutes: what was watched for, and what of it showed. */
  | {
      readonly kind: 'sewn';
      readonly watched: readonly string[];
      readonly shown: readonly string[];
      readonly minutes: number;
    };

/** What is known of a machine after some steps. */
export interface Story {
  readonly model: FamilyModel;
  readonly answers: readonly (GivenAnswer & { readonly entry: number })[];
  readonly treatments: readonly (Treatment & { readonly at: number })[];
  /** What counts for duties, in its order. */
  readonly facts: readonly DutyFact[];
  readonly open: ReadonlySet<string>;
  readonly epoch: number;
  /** How many steps there were. */
  readonly at: number;
}

export function beginStory(model: FamilyModel, open: ReadonlySet<string> = new Set()): Story {
  const facts = [...open].map((id): DutyFact => ({ kind: 'access', id, at: 0, epoch: 0 }));
  return { model, answers: [], treatments: [], facts, open, epoch: 0, at: 0 };
}

export function tellStep(story: Story, step: StoryStep): Story {
  const next = { ...story, at: story.at + 1 };
  if (step.kind === 'found') return tellFindings(next, step.findings);
  return step.kind === 'did' ? tellAction(next, step.action) : tellSewing(next, step);
}

function tellFindings(story: Story, findings: ReadonlyMap<string, boolean>): Story {
  const { model, epoch, at } = story;
  const checks = [
    ...new Set([...findings.keys()].map((id) => model.findings.get(id)?.check ?? '')),
  ];
  const sews = checks.some((id) => model.checks.get(id)?.needs === 'sews');
  const isOff = checks.some((id) => {
    const check = model.checks.get(id);
    return check !== undefined && isPartOff(check, story.open);
  });
  const together = sews || isOff ? closed(story) : story;
  const ready = sews
    ? together
    : checks.reduce((opened, id) => openFor(opened, model.checks.get(id)?.access), together);
  const answers = [
    ...ready.answers,
    ...[...findings].map(([finding, present]) => ({ finding, present, epoch, entry: at })),
  ];
  const answered = { ...ready, answers };
  const done = checks.flatMap((id): DutyFact[] => {
    const outcome = checkStanding(answered, id);
    const runs = model.checks.get(id)?.needs === 'sews';
    return outcome.done ? [{ kind: 'check', id, normal: outcome.normal, runs, at, epoch }] : [];
  });
  const seen = [...findings].flatMap(([id, present]): DutyFact[] =>
    present ? [{ kind: 'finding', id, runs: isSeenRunning(model, id), at, epoch }] : [],
  );
  return { ...answered, facts: [...ready.facts, ...seen, ...done] };
}

function tellAction(story: Story, id: string): Story {
  const { model } = story;
  const action = model.actions.get(id);
  const opened = openFor(story, model.actionAccess.get(id));
  const treats = action?.treats ?? [];
  const epoch = treats.length > 0 ? story.epoch + 1 : story.epoch;
  const fact: DutyFact = {
    kind: 'action',
    id,
    repair: action?.repair ?? false,
    at: story.at,
    epoch,
  };
  return {
    ...opened,
    open: new Set([...opened.open].filter((state) => state !== action?.putsBack)),
    epoch,
    facts: [...opened.facts, fact],
    treatments:
      treats.length > 0
        ? [...opened.treatments, { startsEpoch: epoch, causes: treats, at: story.at }]
        : opened.treatments,
  };
}

function tellSewing(
  story: Story,
  { watched, shown, minutes }: Extract<StoryStep, { kind: 'sewn' }>,
): Story {
  const shut = closed(story);
  const { epoch, at } = shut;
  const answers = watched.map((symptom) => ({
    finding: symptom,
    present: shown.includes(symptom),
    epoch,
    entry: at,
    sewnMinutes: minutes,
    onTheWork: true,
  }));
  const sewn: DutyFact = {
    kind: 'check',
    id: SEWN_AS_FOUND,
    normal: shown.length === 0,
    runs: true,
    at,
    epoch,
  };
  return { ...shut, answers: [...shut.answers, ...answers], facts: [...shut.facts, sewn] };
}

function openFor(story: Story, access: string | undefined): Story {
  if (access === undefined) return story;
  const chain = openingChain(story.model.access, story.open, access);
  if (chain.length === 0) return story;
  const { at, epoch } = story;
  return {
    ...story,
    open: new Set([...story.open, ...chain.map(({ id }) => id)]),
    facts: [
      ...story.facts,
      ...chain.map(({ id }): DutyFact => ({ kind: 'access', id, at, epoch })),
    ],
  };
}

/** Put together again. */
function closed(story: Story): Story {
  if (story.open.size === 0) return story;
  const { at, epoch } = story;
  const facts = [...story.open].map((id): DutyFact => ({ kind: 'closed', id, at, epoch }));
  return { ...story, open: new Set(), facts: [...story.facts, ...facts] };
}

/** Whether a check has been done and still holds, and found nothing. */
export function checkStanding({ model, answers, treatments }: Story, check: string): Standing {
  const findings = model.checks.get(check)?.findings ?? [];
  if (findings.length === 0) return { done: false, normal: false };
  const shownBy = new Set(findings.flatMap(({ id }) => causesOf(model, id)));
  const overtaken = Math.max(
    0,
    ...treatments
      // Whatever was done, it is sewn anew.
      .filter(({ causes }) => model.sewing.has(check) || causes.some((cause) => shownBy.has(cause)))
      .map(({ at }) => at),
  );
  const latest = new Map(
    answers
      .filter(({ entry }) => entry > overtaken)
      .map(({ finding, present }) => [finding, present]),
  );
  const own = findings.map(({ id }) => latest.get(id));
  const done = own.every((present) => present !== undefined);
  return { done, normal: done && !own.includes(true) };
}

/**
 * What a gate asks for before an action and is not yet done. Power is never part of a story: who opens
 * or adjusts is taken to have unplugged.
 */
export function gatesOfStory(story: Story, action: string): readonly Requirement[] {
  const { model, facts } = story;
  const last = facts.findLast(({ kind, id }) => kind === 'action' && id === action)?.at ?? 0;
  return gateRequirements(model, `action:${action}`)
    .map(({ requirement }) => requirement)
    .filter((requirement) => {
      if (requirement.kind === 'check') {
        const { done, normal } = checkStanding(story, requirement.id);
        return requirement.normal ? !normal : !done;
      }
      if (requirement.id === ('power-off-confirmed' satisfies ActionId)) return false;
      return !facts.some(
        ({ kind, id, at }) => kind === requirement.kind && id === requirement.id && at > last,
      );
    });
}

function causesOf({ network }: FamilyModel, finding: string): readonly string[] {
  const index = network.findingIndex.get(finding);
  const parents = index === undefined ? [] : (network.parents[index] ?? []);
  return parents.flatMap(({ cause }) => network.causes[cause]?.id ?? []);
}

/** The machine of a story as the next step meets it; what was looked at and found is not asked again. */
export function waysOfStory(story: Story, barred: DutyWays['barred']): DutyWays {
  const standing = (check: string): Standing => checkStanding(story, check);
  return {
    open: story.open,
    standing,
    barred,
    isPutOff: (check) => {
      const { done, normal } = standing(check);
      return done && !normal;
    },
  };
}

/** Causes whose definer was seen and that nothing treated since. */
export function seenCauses({ model, answers, treatments }: Story): ReadonlySet<string> {
  const seen = new Set<string>();
  for (const { finding, present, entry } of answers) {
    const cause = model.findings.get(finding)?.defines;
    if (cause === undefined) continue;
    const isTreated = treatments.some(({ causes, at }) => at > entry && causes.includes(cause));
    if (present && !isTreated) seen.add(cause);
    else seen.delete(cause);
  }
  return seen;
}

/** Everything owed, cleared or waived so far. */
export function dutiesOfStory({ model, facts }: Story, plan: PlanPolicy): readonly DutyStatus[] {
  return assessDuties(model.dutyRules(plan), facts);
}
