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

/**
 * A random network with symptoms and a repair that went on for up to three epochs: failed and repeated
 * treatments, reports and denials, silent sewing and sightings, trials, and what was seen at rest.
 */
export function randomStory(seed: number): ReturnType<typeof randomCase> {
  const draw = seeded(seed + 5000);
  const below = (most: number): number => Math.floor(draw() * most);
  const some = <Item>(items: readonly Item[], share: number): Item[] =>
    items.filter(() => draw() < share);
  const symptoms = Array.from({ length: 1 + below(3) }, (_, index) => ({
    id: `y${index}`,
    leak: draw() < 0.3 ? 0 : 0.05 * draw(),
    unknownFault: 0.002 + 0.05 * draw(),
  }));
  const looks = Array.from({ length: below(3) }, (_, index) => ({
    id: `f${index}`,
    leak: 0.0005 + 0.1 * draw(),
  }));
  const causes = Array.from({ length: 2 + below(2) }, (_, index) => ({
    id: `c${index}`,
    prior: 0.02 + 0.4 * draw(),
  }));
  const links = causes.flatMap(({ id: cause }) =>
    some([...symptoms, ...looks], 0.7).map(({ id: finding }) => ({
      cause,
      finding,
      strength: draw() < 0.1 ? 1 : 0.05 + 0.92 * draw(),
    })),
  );
  const network = buildNetwork(causes, [...symptoms, ...looks], links);
  const epochs = below(4);
  const all = network.causes.map(({ id }) => id);
  const treatments = Array.from({ length: epochs }, (_, index) => ({
    startsEpoch: index + 1,
    causes: some(all, 0.4),
  }));
  const ids = symptoms.map(({ id }) => id);
  const observations = Array.from({ length: below(4) }, () => {
    const watched = draw() < 0.3 ? ids : [ids[below(ids.length)] ?? 'y0'];
    return {
      symptoms: watched.map((symptom) => ({ symptom, visibility: 0.1 + 0.87 * draw() })),
      epoch: below(epochs + 1),
      seen: draw() < 0.4,
      leak: 0.01,
      ...(draw() < 0.6
        ? {
            factors: Object.fromEntries(
              some(all, 0.5).map((id) => [id, draw() < 0.5 ? 0 : draw()]),
            ),
          }
        : {}),
    };
  });
  const told = ids.map((finding, index) => ({
    finding,
    epoch: 0,
    present: index === 0 || draw() < 0.5,
  }));
  const seen = looks
    .filter(() => draw() < 0.8)
    .map(({ id: finding }) => ({ finding, epoch: below(epochs + 1), present: draw() < 0.6 }));
  const toldLater =
    epochs > 0 && draw() < 0.3
      ? [{ finding: ids[0] ?? 'y0', epoch: epochs, present: draw() < 0.5 }]
      : [];
  return {
    network,
    evidence: { readings: [...told, ...seen, ...toldLater], treatments, observations },
  };
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
