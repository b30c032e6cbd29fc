import {
  evidenceOf,
  type FamilyEvidence,
  type FamilyModel,
  type GivenAnswer,
  observedBy,
  withinReach,
} from '@nodo/knowledge';
import { type Answer, changesOf, stateEpoch, type Ticket } from '../state/ticket.ts';

/** Two people saw different things in the same state of the machine. */
export interface Contest {
  readonly finding: string;
  readonly check: string;
  readonly epoch: number;
  /** Each person's last word. */
  readonly answers: readonly Answer[];
}

export interface ObservedEvidence {
  readonly evidence: FamilyEvidence;
  readonly contested: readonly Contest[];
  /** Oldest answers that the exact pass could not take on; 0 in ordinary work. */
  readonly leftOut: number;
}

/**
 * What the answers on a ticket come to. Every sewing stands. Of looks, the same person's second answer
 * replaces the first; answers of two people that differ are contested and count as unasked, until a
 * third person or a lead says which.
 */
export function readingsOf(ticket: Ticket, model: FamilyModel): ObservedEvidence {
  const groups = new Map<string, Answer[]>();
  const readings: GivenAnswer[] = [];
  for (const answer of ticket.answers) {
    if (!model.findings.has(answer.finding)) continue;
    if (wasSewn(model, answer)) {
      const { finding, present, seq, sewnMinutes, onTheWork } = answer;
      readings.push({
        finding,
        present,
        epoch: stateEpoch(ticket, answer.epoch),
        entry: seq,
        ...(sewnMinutes === undefined ? {} : { sewnMinutes }),
        ...(onTheWork === undefined ? {} : { onTheWork }),
      });
      continue;
    }
    const key = `${stateEpoch(ticket, answer.epoch)} ${answer.finding}`;
    const group = groups.get(key);
    if (group) group.push(answer);
    else groups.set(key, [answer]);
  }
  const contested: Contest[] = [];
  for (const answers of groups.values()) {
    const first = answers[0];
    if (!first) continue;
    const epoch = stateEpoch(ticket, first.epoch);
    const settled = settle(answers);
    if (settled) readings.push({ finding: first.finding, epoch, present: settled.present });
    else {
      contested.push({
        finding: first.finding,
        check: first.check,
        epoch,
        answers: lastAnswers(answers),
      });
    }
  }
  const { kept, leftOut } = withinReach(readings, model);
  const treatments = changesOf(ticket).map(({ startsEpoch, treats }) => ({
    startsEpoch: stateEpoch(ticket, startsEpoch),
    causes: treats.filter((cause) => model.causes.has(cause)),
  }));
  return { evidence: evidenceOf(model, kept, treatments, ticket.often), contested, leftOut };
}

function wasSewn(model: FamilyModel, { finding, check }: Answer): boolean {
  return observedBy(model, finding) !== undefined || model.sewing.has(check);
}

/** Each person's last answer, in the order in which they first spoke. */
function lastAnswers(answers: readonly Answer[]): readonly Answer[] {
  const byPerson = new Map<string, Answer>();
  for (const answer of answers) byPerson.set(answer.by.person, answer);
  return [...byPerson.values()];
}

function settle(answers: readonly Answer[]): Answer | undefined {
  const words = lastAnswers(answers);
  const [first, , ...others] = words;
  if (words.every(({ present }) => present === first?.present)) return first;
  return words.findLast(({ by }) => by.role === 'lead') ?? others.at(-1);
}
