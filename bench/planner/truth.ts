import { buildNetwork, type Network, type Reading, seeded, strengthOf } from '@nodo/core';
import {
  type FamilyModel,
  familyModel,
  INTERVIEWS,
  type KnowledgeSource,
  reportedComplaints,
  storedKnowledge,
  testableComplaints,
} from '@nodo/knowledge';
import firstEdition from '../../packages/knowledge/editions/first.json' with { type: 'json' };

/** A machine as it really is: what is wrong, and what each check would show. */
export interface Truth {
  readonly causes: ReadonlySet<string>;
  /** Every finding of every check, trials included. */
  readonly answers: ReadonlyMap<string, boolean>;
}

/** Where machines are drawn from. Frozen: the model under test never supplies its own truth. */
export interface Generator {
  readonly model: FamilyModel;
  readonly network: Network;
}

/** How far a strength is moved in the second generator, in shares of its log-odds. */
const MOVED = 0.3;

const FROZEN = storedKnowledge(firstEdition as unknown as KnowledgeSource);

export function generatorOf(family: string, moved: boolean): Generator {
  const model = familyModel(FROZEN, family);
  if (!model) throw new Error(`no family ${family}`);
  return { model, network: moved ? movedStrengths(model.network) : model.network };
}

/** Every strength 30 % up or down in log-odds, by a seeded coin. */
function movedStrengths(network: Network): Network {
  const draw = seeded(77);
  return buildNetwork(
    network.causes,
    network.findings,
    network.causes.flatMap(({ id }, cause) =>
      (network.shows[cause] ?? []).map(({ finding, strength }) => {
        const logOdds = Math.log(strength / (1 - strength)) * (1 + (draw() < 0.5 ? -MOVED : MOVED));
        return {
          cause: id,
          finding: network.findings[finding]?.id ?? '',
          strength: 1 / (1 + Math.exp(-logOdds)),
        };
      }),
    ),
  );
}

/** Most faults that a drawn machine may have. */
export const MOST_FAULTS = 3;

/** Draws machines until one has a complaint and one to three faults. */
export function drawTruth({ model, network }: Generator, draw: () => number): Truth {
  for (;;) {
    const present = [...network.causes.keys()].filter(
      (cause) => draw() < (network.causes[cause]?.prior ?? 0),
    );
    const answers = new Map<string, boolean>();
    for (const [finding, { id, leak }] of network.findings.entries()) {
      let silent = 1 - leak;
      for (const cause of present) silent *= 1 - strengthOf(network, cause, finding);
      answers.set(id, draw() >= silent);
    }
    const complaints = reportedComplaints(model, asReadings(answers));
    if (present.length === 0 || present.length > MOST_FAULTS || complaints.length === 0) continue;
    const causes = new Set(present.map((cause) => network.causes[cause]?.id ?? ''));
    const tested = testableComplaints(model, complaints).map(
      (id) => network.findingIndex.get(id) ?? -1,
    );
    for (const { finding, treats, leak } of model.trials.values()) {
      let gone = treats.some((cause) => causes.has(cause)) ? 1 : leak;
      for (const complaint of tested) {
        gone *= 1 - (network.findings[complaint]?.leak ?? 0);
        for (const cause of present) {
          if (treats.includes(network.causes[cause]?.id ?? '')) continue;
          gone *= 1 - strengthOf(network, cause, complaint);
        }
      }
      answers.set(finding, draw() < gone);
    }
    return { causes, answers };
  }
}

function asReadings(answers: ReadonlyMap<string, boolean>): readonly Reading[] {
  return [...answers].map(([finding, present]) => ({ finding, epoch: 0, present }));
}

/**
 * What a check of the model under test shows on this machine. A finding that the truth does
 * not know was not asked: "no" would be a lie about it.
 */
export function answersOf(truth: Truth, model: FamilyModel, check: string): readonly Reading[] {
  return (model.checks.get(check)?.findings ?? []).flatMap(({ id }) => {
    const present = truth.answers.get(id);
    return present === undefined ? [] : [{ finding: id, epoch: 0, present }];
  });
}

/** What is known before the first check. */
export function interviewOf(truth: Truth, model: FamilyModel): readonly Reading[] {
  return [...INTERVIEWS].flatMap((check) => answersOf(truth, model, check));
}
