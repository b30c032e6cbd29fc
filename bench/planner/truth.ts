import { buildNetwork, type HowOften, type Network, seeded, strengthOf } from '@nodo/core';
import {
  COMPLAINT,
  CONTEXT,
  type FamilyModel,
  type FindingSource,
  familyModel,
  type KnowledgeSource,
  storedKnowledge,
} from '@nodo/knowledge';
import firstEdition from '../../packages/knowledge/editions/first.json' with { type: 'json' };
import secondEdition from '../../packages/knowledge/editions/second.json' with { type: 'json' };
import type { Truth } from '../../packages/knowledge/test/drawnMachine.ts';

/** A machine as it really is, and what its owner tells of it. */
export interface DrawnTicket {
  readonly truth: Truth;
  readonly told: ReadonlyMap<string, boolean>;
}

/**
 * Which tables machines are drawn from. All are frozen: the model under test never supplies its own truth.
 * `second` is what the second model was finished with: by it what is told can be judged, for the causes
 * that came since are in it.
 */
export const EDITIONS = ['first', 'moved', 'second'] as const;
export type Edition = (typeof EDITIONS)[number];

/** Where machines are drawn from. */
export interface Generator {
  readonly model: FamilyModel;
  readonly network: Network;
  /** Machines with more faults are not drawn. */
  readonly mostFaults: number;
}

/** How far a strength is moved in the second generator, in shares of its log-odds. */
const MOVED = 0.3;

/** How often a symptom shows: shares of drawn machines. */
const OFTEN: readonly (readonly [HowOften, number])[] = [
  ['always', 0.3],
  ['seam', 0.4],
  ['now-and-then', 0.25],
  ['hours', 0.05],
];

/** The first version, its complaints told as the symptoms that they are. */
const FIRST = storedKnowledge(withSymptoms(firstEdition as unknown as KnowledgeSource));
const SECOND = storedKnowledge(secondEdition as unknown as KnowledgeSource);

function withSymptoms(source: KnowledgeSource): KnowledgeSource {
  const known = new Map<string, FindingSource>(
    (secondEdition as unknown as KnowledgeSource).mechanisms
      .flatMap(({ checks }) => checks)
      .flatMap(({ findings }) => findings)
      .map((finding) => [finding.id, finding]),
  );
  return {
    ...source,
    mechanisms: source.mechanisms.map((mechanism) => ({
      ...mechanism,
      checks: mechanism.checks.map((check) => ({
        ...check,
        findings: check.findings.map((finding) => {
          const { symptom, observes } = known.get(finding.id) ?? {};
          return {
            ...finding,
            ...(symptom === undefined ? {} : { symptom }),
            ...(observes === undefined ? {} : { observes }),
          };
        }),
      })),
    })),
  };
}

export function generatorOf(family: string, edition: Edition): Generator {
  const model = familyModel(edition === 'second' ? SECOND : FIRST, family);
  if (!model) throw new Error(`no family ${family}`);
  return {
    model,
    network: edition === 'moved' ? movedStrengths(model.network) : model.network,
    // Leaving the worst out makes machines better than anybody may believe of them: what is told of those
    // of the second edition is judged, so none is left out.
    mostFaults: edition === 'second' ? Number.POSITIVE_INFINITY : MOST_FAULTS,
  };
}

/** Every strength 30 % up or down in log-odds, by a seeded coin. */
function movedStrengths(network: Network): Network {
  const draw = seeded(77);
  const named = network.causes.filter(({ unnamedFor }) => unnamedFor === undefined);
  return buildNetwork(
    named,
    network.findings,
    named.flatMap(({ id }, cause) =>
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
const MOST_FAULTS = 3;

/**
 * Draws machines until one has a complaint and a fault, not too many, faults that no table names among
 * them. Triggers are drawn once; what shows is reported, what does not is denied.
 */
export function drawMachine(
  { model, network, mostFaults }: Generator,
  draw: () => number,
): DrawnTicket {
  for (;;) {
    const present = [...network.causes.keys()].filter(
      (cause) => draw() < (network.causes[cause]?.prior ?? 0),
    );
    const active = new Set<string>();
    const often: Record<string, HowOften> = {};
    const told = new Map<string, boolean>();
    for (const { id, check, symptom } of model.findings.values()) {
      const finding = network.findingIndex.get(id);
      if (finding === undefined) continue;
      if (check === COMPLAINT && symptom) {
        const howOften = drawOften(draw);
        const isSure = howOften === 'always' || howOften === 'seam';
        const oneOff = isSure ? 0 : (network.findings[finding]?.leak ?? 0);
        let shows = draw() < oneOff;
        for (const cause of present) {
          if (draw() >= strengthOf(network, cause, finding)) continue;
          active.add(`${network.causes[cause]?.id ?? ''} ${id}`);
          shows = true;
        }
        told.set(id, shows);
        if (shows) often[id] = howOften;
      } else if (check === CONTEXT) {
        let silent = 1 - (network.findings[finding]?.leak ?? 0);
        for (const cause of present) silent *= 1 - strengthOf(network, cause, finding);
        told.set(id, draw() >= silent);
      }
    }
    const isComplaint = Object.keys(often).length > 0;
    if (present.length === 0 || present.length > mostFaults || !isComplaint) continue;
    const causes = present.map((cause) => network.causes[cause]?.id ?? '');
    return { truth: { causes, active, often, network }, told };
  }
}

function drawOften(draw: () => number): HowOften {
  let left = draw();
  for (const [often, share] of OFTEN) {
    left -= share;
    if (left < 0) return often;
  }
  return 'seam';
}
