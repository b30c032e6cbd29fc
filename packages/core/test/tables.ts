import type { INetwork } from 'bayesjs';
import type { Network } from '../src/index.ts';

/** The same network written out as full conditional tables. */
export function asTables(network: Network): INetwork {
  const nodes: INetwork = {};
  for (const { id, prior } of network.causes) {
    nodes[id] = { id, states: ['T', 'F'], parents: [], cpt: { T: prior, F: 1 - prior } };
  }
  network.findings.forEach(({ id, leak }, finding) => {
    const parents = (network.parents[finding] ?? []).map(
      ({ cause }) => network.causes[cause]?.id ?? '',
    );
    const rows = Array.from({ length: 1 << parents.length }, (_, mask) => {
      const when = Object.fromEntries(
        parents.map((parent, bit) => [parent, mask & (1 << bit) ? 'T' : 'F']),
      );
      const absent = parents.reduce((left, parent) => {
        if (when[parent] === 'F') return left;
        const cause = network.causeIndex.get(parent) ?? -1;
        return (
          left *
          (1 - (network.shows[cause]?.find((shows) => shows.finding === finding)?.strength ?? 0))
        );
      }, 1 - leak);
      // biome-ignore lint/suspicious/noThenProperty: the oracle's own word for a table's row
      return { when, then: { T: 1 - absent, F: absent } };
    });
    nodes[id] = {
      id,
      states: ['T', 'F'],
      parents,
      cpt: parents.length === 0 ? { T: leak, F: 1 - leak } : rows,
    };
  });
  return nodes;
}
