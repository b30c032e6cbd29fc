import { type INetwork, infer } from 'bayesjs';
import { describe, expect, it } from 'vitest';

/**
 * The two classic networks below are not two-layer noisy-OR networks, so the engine cannot hold
 * them. They prove the independent oracle that the engine is compared with.
 */
const yesNo = ['T', 'F'];
const root = (id: string, chance: number) => ({
  id,
  states: yesNo,
  parents: [],
  cpt: { T: chance, F: 1 - chance },
});
const child = (
  id: string,
  parents: readonly string[],
  rows: readonly (readonly [string, number])[],
) => ({
  id,
  states: yesNo,
  parents: [...parents],
  cpt: rows.map(([states, chance]) => ({
    when: Object.fromEntries(parents.map((parent, index) => [parent, states[index] ?? ''])),
    // biome-ignore lint/suspicious/noThenProperty: the oracle's own word for a table's row
    then: { T: chance, F: 1 - chance },
  })),
});
const network = (...nodes: readonly INetwork[string][]): INetwork =>
  Object.fromEntries(nodes.map((node) => [node.id, node]));

describe('the oracle on the chest clinic, Lauritzen & Spiegelhalter, J. R. Stat. Soc. B 50 (1988)', () => {
  const clinic = network(
    root('asia', 0.01),
    root('smoke', 0.5),
    child(
      'tub',
      ['asia'],
      [
        ['T', 0.05],
        ['F', 0.01],
      ],
    ),
    child(
      'lung',
      ['smoke'],
      [
        ['T', 0.1],
        ['F', 0.01],
      ],
    ),
    child(
      'bronc',
      ['smoke'],
      [
        ['T', 0.6],
        ['F', 0.3],
      ],
    ),
    child(
      'either',
      ['tub', 'lung'],
      [
        ['TT', 1],
        ['TF', 1],
        ['FT', 1],
        ['FF', 0],
      ],
    ),
    child(
      'xray',
      ['either'],
      [
        ['T', 0.98],
        ['F', 0.05],
      ],
    ),
    child(
      'dysp',
      ['either', 'bronc'],
      [
        ['TT', 0.9],
        ['TF', 0.7],
        ['FT', 0.8],
        ['FF', 0.1],
      ],
    ),
  );
  const chance = (node: string, given: Record<string, string> = {}): number =>
    infer(clinic, { [node]: 'T' }, given);

  it.each([
    ['tub', 0.0104],
    ['lung', 0.055],
    ['bronc', 0.45],
    ['either', 0.064828],
    ['xray', 0.11029],
    ['dysp', 0.435971],
  ])('prior of %s is %d', (node, value) => expect(chance(node)).toBeCloseTo(value, 6));

  it.each([
    ['tub', { dysp: 'T' }, 0.018845],
    ['lung', { dysp: 'T' }, 0.102759],
    ['bronc', { dysp: 'T' }, 0.833967],
    ['tub', { asia: 'T', dysp: 'T' }, 0.087751],
    ['lung', { asia: 'T', dysp: 'T' }, 0.099525],
    ['bronc', { asia: 'T', dysp: 'T' }, 0.811402],
    ['lung', { dysp: 'T', xray: 'T' }, 0.621253],
  ] as const)('%s given %j is %d', (node, given, value) =>
    expect(chance(node, given)).toBeCloseTo(value, 6),
  );

  it('P(asia and dysp) is .00450138', () => {
    expect(0.01 * chance('dysp', { asia: 'T' })).toBeCloseTo(0.00450138, 8);
  });
});

describe('the oracle on the burglar alarm, Russell & Norvig, Artificial Intelligence', () => {
  it('P(burglary | both call) is .284172', () => {
    const alarm = network(
      root('burglary', 0.001),
      root('earthquake', 0.002),
      child(
        'alarm',
        ['burglary', 'earthquake'],
        [
          ['TT', 0.95],
          ['TF', 0.94],
          ['FT', 0.29],
          ['FF', 0.001],
        ],
      ),
      child(
        'john',
        ['alarm'],
        [
          ['T', 0.9],
          ['F', 0.05],
        ],
      ),
      child(
        'mary',
        ['alarm'],
        [
          ['T', 0.7],
          ['F', 0.01],
        ],
      ),
    );
    expect(infer(alarm, { burglary: 'T' }, { john: 'T', mary: 'T' })).toBeCloseTo(0.284172, 6);
  });
});
