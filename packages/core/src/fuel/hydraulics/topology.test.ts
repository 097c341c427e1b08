import { describe, expect, test } from 'vitest';
import { drawBranch } from './drawBranch.ts';
import type { NetworkBranch } from './network.ts';
import { solveNetwork } from './solveNetwork.ts';
import { BadNetwork, readTopology } from './topology.ts';

const model = drawBranch({ demand: 0, staticCoefficient: 1, manifoldGauge: 0 });
const branch = (id: string, from: string, to: string | null, senses?: string): NetworkBranch => ({
  id,
  from,
  to,
  ...(senses === undefined ? {} : { senses }),
  model: () => model,
});
const tank = { id: 'tank', fixedPressure: 2e3 };

describe('what is joined to what', () => {
  test('is read once by index: free joints in order, −1 where a pressure is known or outside', () => {
    const topology = readTopology({
      nodes: [tank, { id: 'a' }, { id: 'b' }],
      branches: [
        branch('in', 'tank', 'a'),
        branch('pump', 'a', 'b', 'b'),
        branch('out', 'b', null),
      ],
    });
    expect(topology.free).toEqual(['a', 'b']);
    expect([...topology.from]).toEqual([-1, 0, 1]);
    expect([...topology.to]).toEqual([0, 1, -1]);
    expect([...topology.fromFixed]).toEqual([2e3, 0, 0]);
    expect([...topology.sensed]).toEqual([-1, 1, -1]);
  });

  test.each([
    [[branch('pipe', 'tank', 'nowhere')], 'pipe'],
    [[branch('pipe', 'nowhere', 'a')], 'pipe'],
    [[branch('pipe', 'tank', 'a'), branch('pump', 'tank', 'a', 'nowhere')], 'pump'],
  ])('that leads nowhere names the branch', (branches, where) => {
    const network = { nodes: [tank, { id: 'a' }], branches };
    expect(() => readTopology(network)).toThrow(BadNetwork);
    expect(solveNetwork({ ...network, initialPressure: 0 })).toMatchObject({
      state: 'failed',
      where,
    });
  });

  test('a joint named twice is refused by name', () => {
    const network = { nodes: [tank, { id: 'tank' }], branches: [], initialPressure: 0 };
    expect(solveNetwork(network)).toMatchObject({ state: 'failed', where: 'tank' });
  });
});
