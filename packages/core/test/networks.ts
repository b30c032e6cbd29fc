import { buildNetwork, type Evidence, type Network, seeded } from '../src/index.ts';

/** A random two-layer network and evidence over several epochs. */
export function randomCase(seed: number): {
  readonly network: Network;
  readonly evidence: Evidence;
} {
  const draw = seeded(seed);
  const below = (most: number): number => Math.floor(draw() * most);
  const causes = Array.from({ length: 2 + below(5) }, (_, index) => ({
    id: `c${index}`,
    prior: 0.01 + 0.5 * draw(),
  }));
  const findings = Array.from({ length: 2 + below(6) }, (_, index) => ({
    id: `f${index}`,
    leak: 0.0005 + 0.1 * draw(),
  }));
  const links = causes.flatMap(({ id: cause }) =>
    findings
      .filter(() => draw() < 0.6)
      .map(({ id: finding }) => ({ cause, finding, strength: 0.05 + 0.92 * draw() })),
  );
  const epochs = below(3);
  return {
    network: buildNetwork(causes, findings, links),
    evidence: {
      readings: findings
        .filter(() => draw() < 0.8)
        .map(({ id: finding }) => ({
          finding,
          epoch: below(epochs + 1),
          present: draw() < 0.6,
        })),
      treatments: Array.from({ length: epochs }, (_, index) => ({
        startsEpoch: index + 1,
        causes: causes.filter(() => draw() < 0.4).map(({ id }) => id),
      })),
    },
  };
}

/** The same, with some trials that cured and some that did not. */
export function randomTrialCase(seed: number): ReturnType<typeof randomCase> {
  const { network, evidence } = randomCase(seed);
  const draw = seeded(seed + 1000);
  const some = (items: readonly { readonly id: string }[]): string[] =>
    items.filter(() => draw() < 0.5).map(({ id }) => id);
  const trials = Array.from({ length: 1 + Math.floor(draw() * 3) }, (_, index) => ({
    finding: `t${index}`,
    epoch: Math.floor(draw() * (evidence.treatments.length + 1)),
    gone: draw() < 0.5,
    treats: some(network.causes),
    complaints: some(network.findings),
    leak: 0.02 * draw(),
  }));
  return { network, evidence: { ...evidence, trials } };
}

/**
 * A published-style test network with known answers; values computed independently by brute
 * force (double precision, six digits kept).
 */
export function fiveFaults(): Network {
  const prior = [0.08, 0.05, 0.12, 0.03, 0.02];
  const leak = [0.02, 0.01, 0.05, 0.005];
  const link = [
    [0.9, 0.3, 0, 0.2, 0],
    [0, 0.8, 0.4, 0, 0.6],
    [0.5, 0, 0.7, 0.1, 0.3],
    [0, 0, 0.2, 0.9, 0.85],
  ];
  return buildNetwork(
    prior.map((chance, index) => ({ id: `f${index + 1}`, prior: chance })),
    leak.map((chance, index) => ({ id: `s${index + 1}`, leak: chance })),
    link.flatMap((row, finding) =>
      row.map((strength, cause) => ({
        cause: `f${cause + 1}`,
        finding: `s${finding + 1}`,
        strength,
      })),
    ),
  );
}

export function seen(...findings: readonly string[]): Evidence {
  return {
    readings: findings.map((finding) => ({ finding, epoch: 0, present: true })),
    treatments: [],
  };
}
