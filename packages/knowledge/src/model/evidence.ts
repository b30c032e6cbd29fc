import {
  type Evidence,
  type HowOften,
  observationsOfSewing,
  type Reading,
  reportedSymptoms,
  type Sewing,
  type SewnAmount,
  type Treatment,
} from '@nodo/core';
import type { CheckId } from '../ids.ts';
import type { FamilyModel, SewingCheck } from './familyModel.ts';

/** What the customer says is wrong. */
export const COMPLAINT = 'complaint' satisfies CheckId;
/** What happened before, in the words of the customer. */
export const CONTEXT = 'context' satisfies CheckId;
/** Sewing it as it came in, and as it was repaired. */
export const SEWN_AS_FOUND = 'found-sew' satisfies CheckId;

/** Checks that are asked at the counter; everything else is looked at on the machine. */
export const INTERVIEWS: ReadonlySet<string> = new Set([COMPLAINT, CONTEXT]);

/**
 * One answer as it was given. What was seen while sewing also says how it was sewn: with minutes, the
 * answer to a complaint says whether that symptom showed in them.
 */
export interface GivenAnswer extends Reading {
  /** Answers of one sewing share it; those of one check in one epoch do when left out. */
  readonly entry?: number;
  /** Minutes sewn; as long as the check takes when left out. */
  readonly sewnMinutes?: number;
  /** Sewn on the customer's own work, as it failed. */
  readonly onTheWork?: boolean;
}

/** How often symptoms show, as far as the customer said. */
export type OftenTold = Readonly<Record<string, HowOften>>;

/** One sewing, with how long it took: what counts tries knows no minutes. */
export interface TimedSewing extends Sewing {
  readonly minutes: number;
}

/** The evidence of one machine, with what was sewn kept apart: more of it can be added up. */
export interface FamilyEvidence extends Evidence {
  readonly sewings: readonly TimedSewing[];
  readonly often: OftenTold;
}

/** So many starts, trims or releases go into a minute of trying. Ours, no source. */
const TRIES_A_MINUTE = 4;

/**
 * How much a cause shows on a scrap, where the work decides, and in a technician's hands, where the
 * customer's decide. Ours, no source.
 */
const ON_A_SCRAP = { work: 0.2, hands: 0 } as const;

/** The symptoms to be silenced: what the customer reported, and what showed unasked at the bench. */
export function reportedComplaints(
  model: FamilyModel,
  answers: readonly Reading[],
): readonly string[] {
  const reported = answers
    .filter(({ finding, present }) => present && isComplaint(model, finding))
    .map(({ finding }) => finding);
  const shown = answers.flatMap(({ finding, present }) => {
    const symptom = present ? observedBy(model, finding) : undefined;
    return symptom === undefined || symptom === 'reported' || sewnBy(model, finding)?.isTrial
      ? []
      : [symptom];
  });
  return [...new Set([...reported, ...shown])];
}

/** The same, of evidence that was sorted already. */
export function reportedOf(model: FamilyModel, evidence: FamilyEvidence): readonly string[] {
  return reportedSymptoms(model.network, evidence);
}

/** The present epoch: how often something was treated. */
export function epochOf({ treatments }: FamilyEvidence): number {
  return Math.max(0, ...treatments.map(({ startsEpoch }) => startsEpoch));
}

/** Repaired, and nothing wrong seen since. */
export function isInProof(model: FamilyModel, evidence: FamilyEvidence): boolean {
  const now = epochOf(evidence);
  if (now === 0) return false;
  const looked = evidence.readings.some(
    ({ finding, epoch, present }) => present && epoch === now && isFault(model, finding),
  );
  return !looked && !(evidence.observations ?? []).some(({ epoch, seen }) => seen && epoch === now);
}

/** Some cause shows it. The good known design is no fault's sign. */
function isFault({ network }: FamilyModel, finding: string): boolean {
  const index = network.findingIndex.get(finding);
  return index !== undefined && (network.parents[index] ?? []).length > 0;
}

function isComplaint(model: FamilyModel, finding: string): boolean {
  return model.findings.get(finding)?.check === COMPLAINT;
}

function sewnBy(model: FamilyModel, finding: string): SewingCheck | undefined {
  return model.sewing.get(model.findings.get(finding)?.check ?? '');
}

/** The symptom that an answer is about when it was seen while sewing. */
export function observedBy(model: FamilyModel, finding: string): string | undefined {
  return sewnBy(model, finding)?.observes.get(finding);
}

/** The check in which an answer was seen while sewing; undefined for a look and for a report. */
function sewnIn(model: FamilyModel, { finding, sewnMinutes }: GivenAnswer): string | undefined {
  if (observedBy(model, finding) !== undefined) return model.findings.get(finding)?.check;
  return sewnMinutes !== undefined && isComplaint(model, finding) ? SEWN_AS_FOUND : undefined;
}

/** Those symptoms that sewing shows: not those with which the machine cannot be sewn at all. */
export function testableComplaints(
  model: FamilyModel,
  complaints: readonly string[],
  isTreated = false,
): readonly string[] {
  return complaints.filter((id) => isTreated || !model.findings.get(id)?.symptom?.stops);
}

/** How often a symptom shows: as was reported, else as is usual for it. */
export function oftenOf(model: FamilyModel, frequencies: OftenTold, symptom: string): HowOften {
  return frequencies[symptom] ?? model.findings.get(symptom)?.symptom?.often ?? 'seam';
}

/** Sorts answers into what was looked at and what was sewn, each as the inference takes it. */
export function evidenceOf(
  model: FamilyModel,
  answers: readonly GivenAnswer[],
  treatments: readonly Treatment[],
  frequencies: OftenTold = {},
): FamilyEvidence {
  const reported = reportedComplaints(model, answers);
  const readings: Reading[] = [];
  const bySewing = new Map<string, GivenAnswer[]>();
  for (const answer of answers) {
    const check = sewnIn(model, answer);
    if (check === undefined) {
      const { finding, epoch, present } = answer;
      readings.push({ finding, epoch, present });
      continue;
    }
    const key = `${check} ${answer.epoch} ${answer.entry ?? ''}`;
    const group = bySewing.get(key);
    if (group) group.push(answer);
    else bySewing.set(key, [answer]);
  }
  const sewings = [...bySewing.values()].flatMap((group) => sewingsOf(model, group, reported));
  const often = Object.fromEntries(
    reported.map((symptom) => [symptom, oftenOf(model, frequencies, symptom)] as const),
  );
  return withSewings(model, { readings, treatments, often, sewings: [] }, sewings);
}

/** The evidence with more sewn. */
export function withSewings(
  model: FamilyModel,
  evidence: FamilyEvidence,
  more: readonly TimedSewing[],
): FamilyEvidence {
  const sewings = [...evidence.sewings, ...more];
  const observations = observationsOfSewing(sewings, (symptom) =>
    oftenOf(model, evidence.often, symptom),
  );
  return { ...evidence, sewings, observations };
}

/** How one sewing goes: by cause, how much less it shows in it. */
export function factorsOf(
  model: FamilyModel,
  check: string,
  onTheWork: boolean,
): Readonly<Record<string, number>> {
  const exchanged = model.sewing.get(check)?.exchanged ?? new Set<string>();
  return Object.fromEntries(
    [...model.causes.values()].flatMap(({ id, shownBy }) => {
      if (exchanged.has(id)) return [[id, 0] as const];
      return shownBy === undefined || onTheWork ? [] : [[id, ON_A_SCRAP[shownBy]] as const];
    }),
  );
}

/** The answers of one sewing. Symptoms that count tries and those that count minutes stand apart. */
function sewingsOf(
  model: FamilyModel,
  group: readonly GivenAnswer[],
  reported: readonly string[],
): readonly TimedSewing[] {
  const [first] = group;
  const check = first && model.checks.get(sewnIn(model, first) ?? '');
  const sewn = model.sewing.get(check?.id ?? '');
  if (!first || !check || !sewn) return [];
  const { epoch, sewnMinutes = check.minutes, onTheWork = false } = first;
  const watched = new Map<string, { shows: boolean; finding: string }>();
  let some: string | undefined;
  const isTreated = epoch > 0;
  for (const { finding, present } of group) {
    const symptom = sewn.observes.get(finding) ?? finding;
    if (symptom !== 'reported') {
      watched.set(symptom, { shows: present, finding });
      continue;
    }
    const shows = sewn.isTrial ? !present : present;
    if (shows) some = finding;
    else {
      for (const id of testableComplaints(model, reported, isTreated)) {
        if (!watched.has(id)) watched.set(id, { shows: false, finding });
      }
    }
  }
  const stops = (symptom: string): boolean => model.findings.get(symptom)?.symptom?.stops === true;
  const hasStopped = [...watched].some(([symptom, { shows }]) => shows && stops(symptom));
  if (!hasStopped) {
    // A seam was sewn: what keeps the machine from sewing did not show.
    for (const id of reported.filter(stops)) {
      if (!watched.has(id)) watched.set(id, { shows: false, finding: first.finding });
    }
  }
  const shown = [...watched].filter(([, { shows }]) => shows).map(([symptom]) => symptom);
  const way = {
    epoch,
    work: `${check.id}${onTheWork ? ' on the work' : ''}`,
    factors: factorsOf(model, check.id, onTheWork),
    answers: Object.fromEntries([...watched].map(([symptom, { finding }]) => [symptom, finding])),
  };
  // "It shows" says more than what is named only when nothing reported is named.
  const isNamed = shown.some((symptom) => reported.includes(symptom));
  const open = testableComplaints(model, reported, isTreated).filter((id) => !watched.has(id));
  const union =
    some === undefined || isNamed || open.length === 0
      ? []
      : [
          {
            ...way,
            minutes: sewnMinutes,
            amount: { minutes: sewnMinutes },
            watched: open,
            shown: 'some' as const,
            answers: Object.fromEntries(open.map((symptom) => [symptom, some])),
          },
        ];
  const byUnit = (['minutes', 'tries'] as const).flatMap((unit): readonly TimedSewing[] => {
    const own = [...watched.keys()].filter((symptom) => unitOf(model, symptom) === unit);
    return own.length === 0
      ? []
      : [
          {
            ...way,
            minutes: sewnMinutes,
            amount: amountOf(unit, sewnMinutes),
            watched: own,
            shown: own.filter((symptom) => shown.includes(symptom)),
          },
        ];
  });
  return [...union, ...byUnit];
}

function unitOf(model: FamilyModel, symptom: string): 'minutes' | 'tries' {
  return model.findings.get(symptom)?.symptom?.counts ?? 'minutes';
}

/** So many minutes of sewing, in what the symptom counts by. */
export function sewnAmount(model: FamilyModel, symptom: string, minutes: number): SewnAmount {
  return amountOf(unitOf(model, symptom), minutes);
}

function amountOf(unit: 'minutes' | 'tries', minutes: number): SewnAmount {
  return unit === 'minutes' ? { minutes } : { tries: TRIES_A_MINUTE * minutes };
}

/** Silent sewing of so many minutes, as the inference takes it; by unit of what is watched. */
export function silentSewing(
  model: FamilyModel,
  symptoms: readonly string[],
  way: {
    readonly check: string;
    readonly epoch: number;
    readonly minutes: number;
    readonly onTheWork: boolean;
  },
): readonly TimedSewing[] {
  const { check, epoch, minutes, onTheWork } = way;
  return (['minutes', 'tries'] as const).flatMap((unit): readonly TimedSewing[] => {
    const watched = symptoms.filter((symptom) => unitOf(model, symptom) === unit);
    return watched.length === 0
      ? []
      : [
          {
            epoch,
            work: `${check}${onTheWork ? ' on the work' : ''}`,
            minutes,
            amount: amountOf(unit, minutes),
            watched,
            shown: [],
            factors: factorsOf(model, check, onTheWork),
          },
        ];
  });
}

/** The evidence with one answer more. */
export function withAnswer(
  model: FamilyModel,
  evidence: FamilyEvidence,
  answer: GivenAnswer,
): FamilyEvidence {
  if (sewnIn(model, answer) === undefined) {
    return { ...evidence, readings: [...evidence.readings, answer] };
  }
  return withSewings(model, evidence, sewingsOf(model, [answer], reportedOf(model, evidence)));
}

/**
 * Most observations that the exact pass takes: positive findings with several parents, reports and
 * sightings. The core takes more, but each doubles the time, and a screen must not wait.
 */
const MOST_COMPUTED = 12;

/** How many things to explain an answer adds to the inference. */
function weightOf({ finding, present }: Reading, model: FamilyModel): number {
  const sewn = sewnBy(model, finding);
  if (sewn?.observes.has(finding)) return present === sewn.isTrial ? 0 : 1;
  const index = model.network.findingIndex.get(finding);
  const parents = index === undefined ? 0 : (model.network.parents[index]?.length ?? 0);
  return present && parents > 1 ? 1 : 0;
}

/**
 * Keeps the inference within what a screen can wait for: leaves out the oldest answers that
 * make it long, what the customer reported last of all. Says how many.
 */
export function withinReach<Answer extends Reading>(
  readings: readonly Answer[],
  model: FamilyModel,
): { readonly kept: readonly Answer[]; readonly leftOut: number } {
  const dropped = new Set<Answer>();
  let left = readings.reduce((sum, reading) => sum + weightOf(reading, model), 0);
  for (const reading of [
    ...readings.filter(({ finding }) => !isComplaint(model, finding)),
    ...readings.filter(({ finding }) => isComplaint(model, finding)),
  ]) {
    if (left <= MOST_COMPUTED) break;
    const weight = weightOf(reading, model);
    if (weight === 0) continue;
    dropped.add(reading);
    left -= weight;
  }
  return { kept: readings.filter((reading) => !dropped.has(reading)), leftOut: dropped.size };
}
