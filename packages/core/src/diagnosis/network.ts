import { CoreError } from '../errors/coreError.ts';

export interface NetworkCause {
  readonly id: string;
  /** Chance, before anything is known, that this cause is present; 0 to 1. */
  readonly prior: number;
  /** Of a fault that no table names: the one symptom that it shows. */
  readonly unnamedFor?: string;
}

export interface NetworkFinding {
  readonly id: string;
  /** Chance that the finding shows although no modelled cause produces it; 0 to 1. */
  readonly leak: number;
  /**
   * Makes the finding a *symptom*: whether a present cause shows it is drawn once and kept as long as
   * the cause is there. The number is the chance of a fault that no table names and that shows this
   * symptom for sure; `leak` is then the chance of an event that will not return.
   */
  readonly unknownFault?: number;
}

export interface NetworkLink {
  readonly cause: string;
  readonly finding: string;
  /** Chance that the cause, when present, shows the finding by itself; 0 to 1. */
  readonly strength: number;
}

/** What a cause shows: the finding's index in {@link Network.findings} and how strongly. */
export interface Shows {
  readonly finding: number;
  readonly strength: number;
}

/** What shows a finding: the cause's index in {@link Network.causes} and how strongly. */
export interface Parent {
  readonly cause: number;
  readonly strength: number;
}

/**
 * A two-layer noisy-OR network. Causes are independent beforehand, several may be
 * present at once, and P(finding absent | causes) = (1 - leak) x product over present
 * causes of (1 - strength). Source: Pearl, Probabilistic Reasoning in Intelligent
 * Systems (1988), section 4.3 (cited from memory). Symptoms persist: see `symptoms.ts`.
 */
export interface Network {
  readonly causes: readonly NetworkCause[];
  readonly findings: readonly NetworkFinding[];
  /** Per cause, in the order of {@link causes}. */
  readonly shows: readonly (readonly Shows[])[];
  /** Per finding, what can show it. */
  readonly parents: readonly (readonly Parent[])[];
  readonly causeIndex: ReadonlyMap<string, number>;
  readonly findingIndex: ReadonlyMap<string, number>;
}

function assertChance(value: number, of: string): void {
  if (!(value >= 0 && value <= 1)) throw new CoreError('not-a-chance', { of, value });
}

/** Id of the cause that stands for "something no table names" behind a symptom. */
export function unknownFaultOf(symptom: string): string {
  return `unknown:${symptom}`;
}

/**
 * Lays the network out by index. Links of strength 0 are dropped. After the named causes comes, for
 * each symptom, the fault that no table names.
 * @throws CoreError `not-a-chance`, `double-id` or `unknown-id`, naming the culprit.
 */
export function buildNetwork(
  named: readonly NetworkCause[],
  findings: readonly NetworkFinding[],
  namedLinks: readonly NetworkLink[],
): Network {
  const unnamed = findings.flatMap(({ id, unknownFault }) =>
    unknownFault === undefined
      ? []
      : [{ id: unknownFaultOf(id), prior: unknownFault, unnamedFor: id }],
  );
  const causes = [...named, ...unnamed];
  const links = [
    ...namedLinks,
    ...unnamed.map(({ id, unnamedFor }) => ({ cause: id, finding: unnamedFor, strength: 1 })),
  ];
  const causeIndex = indexById(causes);
  const findingIndex = indexById(findings);
  for (const cause of causes) assertChance(cause.prior, cause.id);
  for (const finding of findings) assertChance(finding.leak, finding.id);

  const shows: Shows[][] = causes.map(() => []);
  const parents: Parent[][] = findings.map(() => []);
  for (const link of links) {
    assertChance(link.strength, `${link.cause} > ${link.finding}`);
    const cause = causeIndex.get(link.cause);
    const finding = findingIndex.get(link.finding);
    if (cause === undefined) throw new CoreError('unknown-id', { id: link.cause });
    if (finding === undefined) throw new CoreError('unknown-id', { id: link.finding });
    if (link.strength === 0) continue;
    shows[cause]?.push({ finding, strength: link.strength });
    parents[finding]?.push({ cause, strength: link.strength });
  }
  return { causes, findings, shows, parents, causeIndex, findingIndex };
}

/** Whether a finding is a symptom: it persists as long as what shows it is there. */
export function isSymptom(network: Network, finding: number): boolean {
  return network.findings[finding]?.unknownFault !== undefined;
}

/** How surely a cause shows a finding by itself, both by index; 0 without a link. */
export function strengthOf(network: Network, cause: number, finding: number): number {
  return network.shows[cause]?.find((shows) => shows.finding === finding)?.strength ?? 0;
}

function indexById(items: readonly { readonly id: string }[]): Map<string, number> {
  const index = new Map<string, number>();
  items.forEach((item, position) => {
    if (index.has(item.id)) throw new CoreError('double-id', { id: item.id });
    index.set(item.id, position);
  });
  return index;
}
