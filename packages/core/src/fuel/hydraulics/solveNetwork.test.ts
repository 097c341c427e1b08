import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lookUp } from '../../catalogue/index.ts';
import { sampleCatalogue } from '../../exchange/index.ts';
import { draw, petrol, pipe, pump, regulator, returnCircuit } from '../../tests/hydraulicParts.ts';
import { pumpModel } from '../pumps/pumpModel.ts';
import { type BranchModel, FLOW_SCALE } from './branchModel.ts';
import { GRAVITY } from './fluid.ts';
import { closedBranch } from './regulatorBranch.ts';
import type { Network, NetworkSolution } from './network.ts';
import { pipeLoss } from './pipeBranch.ts';
import { solveNetwork } from './solveNetwork.ts';

type Solved = Extract<NetworkSolution, { state: 'converged' }>;
const solved = (network: Network): Solved => {
  const solution = solveNetwork(network);
  if (solution.state === 'failed') throw new Error(solution.reason);
  return solution;
};

/** Net mass flow into a node, kg/s. */
const imbalance = (network: Network, { flows }: Solved, node: string): number =>
  network.branches.reduce(
    (sum, b) => sum + (b.to === node ? flows[b.id]! : 0) - (b.from === node ? flows[b.id]! : 0),
    0,
  );

const free = (network: Network): string[] =>
  network.nodes.filter((n) => n.fixedPressure === undefined).map((n) => n.id);

describe('against closed forms', () => {
  test('one pipe between two tanks carries the flow whose loss is the difference', () => {
    const network: Network = {
      nodes: [{ id: 'a', fixedPressure: 60e3 }, { id: 'm' }, { id: 'b', fixedPressure: 0 }],
      branches: [pipe('first', 'a', 'm', { length: 1 }), pipe('second', 'm', 'b', { length: 3 })],
      initialPressure: 0,
    };
    const s = solved(network);
    const geometry = { length: 4, bore: 8e-3, roughness: 5e-6, losses: [] };
    expect(pipeLoss(geometry, s.flows['first']!, petrol)).toBeCloseTo(60e3, 2);
    expect(s.pressures['m']).toBeCloseTo(45e3, 2);
  });

  test('fuel at rest in a riser shows its height', () => {
    const network: Network = {
      nodes: [{ id: 'tank', fixedPressure: 10e3 }, { id: 'top' }],
      branches: [pipe('riser', 'tank', 'top', { rise: 0.8 }), draw('none', 'top', 0)],
      initialPressure: 0,
    };
    const s = solved(network);
    expect(s.pressures['top']).toBeCloseTo(10e3 - petrol.density * GRAVITY * 0.8, 4);
    expect(Math.abs(s.flows['riser']!)).toBeLessThan(1e-12);
  });

  test('two equal pipes in parallel share the flow', () => {
    const network: Network = {
      nodes: [{ id: 'a', fixedPressure: 50e3 }, { id: 'b' }, { id: 'c', fixedPressure: 0 }],
      branches: [
        pipe('left', 'a', 'b'),
        pipe('right', 'a', 'b'),
        pipe('out', 'b', 'c', { bore: 10e-3 }),
      ],
      initialPressure: 0,
    };
    const s = solved(network);
    expect(s.flows['left']).toBeCloseTo(s.flows['right']!, 12);
    expect(s.flows['out']).toBeCloseTo(2 * s.flows['left']!, 12);
  });

  test('a pump against a regulator stands where its own curve crosses, found independently', () => {
    const network = returnCircuit({ demand: 0.015 });
    const s = solved(network);
    // Fixed-point iteration on the wiring and bisection on flow, nothing of the solver.
    const item = lookUp(sampleCatalogue, 'pump', { id: 'P340X', revision: 1 }, 'test');
    const wanted = (massFlow: number): number => {
      const flow = massFlow / petrol.density;
      let voltage = 12.2;
      for (let k = 0; k < 200; k++) {
        const bare = pumpModel({
          item,
          wear: 0,
          supply: { openCircuitV: voltage, seriesResistanceOhm: 0 },
        });
        voltage = 12.2 - 0.06 * bare.operate(flow).current;
      }
      const bare = pumpModel({
        item,
        wear: 0,
        supply: { openCircuitV: voltage, seriesResistanceOhm: 0 },
      });
      const reg = lookUp(sampleCatalogue, 'regulator', { id: 'RR-M', revision: 1 }, 'test');
      const bypass = (massFlow - 0.015) / petrol.density;
      const needed =
        300e3 +
        reg.slope * bypass +
        pipeLoss({ length: 0.5, bore: 14e-3, roughness: 5e-6, losses: [] }, massFlow, petrol) +
        pipeLoss({ length: 4.4, bore: 8.7e-3, roughness: 5e-6, losses: [] }, massFlow, petrol);
      return bare.operate(flow).pressureRise - needed;
    };
    let low = 0.015;
    let high = 0.08;
    for (let k = 0; k < 60; k++) {
      const middle = (low + high) / 2;
      if (wanted(middle) > 0) low = middle;
      else high = middle;
    }
    expect(s.flows['pump']).toBeCloseTo(low, 8);
  });
});

describe('regulator', () => {
  test('holds set plus manifold pressure while it bypasses', () => {
    for (const manifold of [-60e3, 0, 85e3]) {
      const s = solved(returnCircuit({ demand: 0.012, manifold }));
      const bypass = s.flows['regulator']! / petrol.density;
      const reg = lookUp(sampleCatalogue, 'regulator', { id: 'RR-M', revision: 1 }, 'test');
      expect(s.flows['regulator']).toBeGreaterThan(0);
      expect(s.pressures['rail']).toBeCloseTo(300e3 + manifold + reg.slope * bypass, 3);
    }
  });

  test('closes when the engine takes more than the pump gives, and pressure sags', () => {
    const s = solved(returnCircuit({ demand: 0.047 }));
    expect(s.flows['regulator']).toBe(0);
    expect(s.pressures['rail']).toBeLessThan(300e3);
    expect(s.flows['injectors']).toBeCloseTo(0.047, 12);
  });

  test('is never both above its pressure and closed', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.09, noNaN: true }),
        fc.double({ min: -70e3, max: 150e3, noNaN: true }),
        (demand, manifold) => {
          const s = solved(returnCircuit({ demand, manifold }));
          const above = s.pressures['rail']! > 300e3 + manifold + 1;
          expect(above && s.flows['regulator']! < 1e-9).toBe(false);
          expect(s.flows['regulator']).toBeGreaterThanOrEqual(-1e-12);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('goes wide open into a pinched return: rail pressure is what the return makes', () => {
    const s = solved(returnCircuit({ demand: 0, returnBore: 2.6e-3, set: 100e3 }));
    const reg = lookUp(sampleCatalogue, 'regulator', { id: 'RR-M', revision: 1 }, 'test');
    const flow = s.flows['regulator']! / petrol.density;
    const open = (petrol.density * flow ** 2) / (2 * reg.openArea ** 2);
    expect(s.pressures['rail']).toBeCloseTo(s.pressures['back']! + open, 3);
    expect(s.pressures['rail']).toBeGreaterThan(100e3 + 1e3);
  });

  test('held, it asks what the pump can give: equal to the free solve while bypassing', () => {
    const freeRun = solved(returnCircuit({ demand: 0.015 }));
    const held = solved(returnCircuit({ demand: 0.015, holding: true }));
    expect(held.flows['pump']).toBeCloseTo(freeRun.flows['pump']!, 9);
  });

  test('held beyond the pump, the missing flow is negative', () => {
    const held = solved(returnCircuit({ demand: 0.06, holding: true }));
    expect(held.flows['regulator']).toBeLessThan(0);
    expect(held.pressures['rail']).toBeCloseTo(300e3, 0);
  });
});

describe('injectors', () => {
  test('cannot draw more than they pass held open', () => {
    const network: Network = {
      nodes: [{ id: 'a', fixedPressure: 100e3 }, { id: 'rail' }],
      branches: [
        pipe('feed', 'a', 'rail', { bore: 12e-3, length: 0.2 }),
        draw('open', 'rail', 1, 4e-5, 20e3),
      ],
      initialPressure: 100e3,
    };
    const s = solved(network);
    expect(s.flows['open']).toBeCloseTo(4e-5 * Math.sqrt(s.pressures['rail']! - 20e3), 12);
    expect(s.flows['open']).toBeLessThan(1);
  });
});

describe('pump', () => {
  test('does not run backwards against a higher pressure', () => {
    const network: Network = {
      nodes: [{ id: 'tank', fixedPressure: 0 }, { id: 'out' }, { id: 'high', fixedPressure: 2e6 }],
      branches: [pump('pump', 'tank', 'out'), pipe('line', 'out', 'high')],
      initialPressure: 1e6,
    };
    // What the seat leaks is a few drops an hour.
    expect(Math.abs(solved(network).flows['pump']!)).toBeLessThan(2e-7);
  });

  test('dead-headed it makes its zero-flow pressure', () => {
    const network: Network = {
      nodes: [{ id: 'tank', fixedPressure: 0 }, { id: 'out' }],
      branches: [pump('pump', 'tank', 'out', { resistance: 0 }), draw('shut', 'out', 0)],
      initialPressure: 3e5,
    };
    const item = lookUp(sampleCatalogue, 'pump', { id: 'P340X', revision: 1 }, 'test');
    const bare = pumpModel({
      item,
      wear: 0,
      supply: { openCircuitV: 12.2, seriesResistanceOhm: 0 },
    });
    expect(Math.abs(solved(network).pressures['out']! - bare.operate(0).pressureRise)).toBeLessThan(
      1,
    );
  });

  test('twins deliver more than one and share alike', () => {
    const twin = (both: boolean): Network => ({
      nodes: [{ id: 'tank', fixedPressure: 0 }, { id: 'out' }, { id: 'back' }],
      branches: [
        pump('one', 'tank', 'out'),
        ...(both ? [pump('two', 'tank', 'out')] : []),
        draw('engine', 'out', 0.01),
        regulator('regulator', 'out', 'back', { item: 'RR-L' }),
        pipe('return', 'back', 'tank', { bore: 14e-3 }),
      ],
      initialPressure: 3e5,
    });
    const alone = solved(twin(false));
    const together = solved(twin(true));
    expect(together.flows['one']).toBeCloseTo(together.flows['two']!, 9);
    expect(together.flows['one']! + together.flows['two']!).toBeGreaterThan(
      1.8 * alone.flows['one']!,
    );
  });
});

const anyCircuit = fc.record({
  demand: fc.double({ min: 0, max: 0.1, noNaN: true }),
  feedBore: fc.double({ min: 3e-3, max: 16e-3, noNaN: true }),
  returnBore: fc.double({ min: 3e-3, max: 16e-3, noNaN: true }),
  manifold: fc.double({ min: -80e3, max: 250e3, noNaN: true }),
  set: fc.double({ min: 100e3, max: 500e3, noNaN: true }),
  voltage: fc.double({ min: 8, max: 14.5, noNaN: true }),
  resistance: fc.double({ min: 0, max: 0.25, noNaN: true }),
  item: fc.constantFrom('P190', 'P255', 'P340X', 'P520X', 'P900T'),
  holding: fc.boolean(),
});

describe('any circuit', () => {
  test('converges, conserves mass at every node and obeys each law to 1 Pa', () => {
    fc.assert(
      fc.property(anyCircuit, (options) => {
        const network = returnCircuit(options);
        const s = solved(network);
        for (const node of free(network)) {
          expect(Math.abs(imbalance(network, s, node))).toBeLessThan(1e-9);
        }
        const row = new Float64Array(4);
        for (const branch of network.branches) {
          branch
            .model(0)
            .residual(
              s.flows[branch.id]!,
              s.pressures[branch.from]!,
              branch.to === null ? 0 : s.pressures[branch.to]!,
              row,
              0,
            );
          expect(Math.abs(row[0]!), branch.id).toBeLessThan(1);
        }
      }),
      { numRuns: 2000 },
    );
  });

  test('the order of nodes and elements changes nothing', () => {
    fc.assert(
      fc.property(anyCircuit, fc.integer({ min: 1, max: 5 }), (options, turn) => {
        const network = returnCircuit(options);
        const rotate = <Item>(items: readonly Item[]): Item[] => [
          ...items.slice(turn),
          ...items.slice(0, turn),
        ];
        const a = solved(network);
        const b = solved({
          ...network,
          nodes: rotate(network.nodes).reverse(),
          branches: rotate(network.branches),
        });
        for (const id of Object.keys(a.flows)) {
          expect(Math.abs(a.flows[id]! - b.flows[id]!)).toBeLessThan(
            1e-9 * Math.max(0.01, Math.abs(a.flows[id]!)) + 1e-10,
          );
        }
        for (const id of Object.keys(a.pressures)) {
          expect(Math.abs(a.pressures[id]! - b.pressures[id]!)).toBeLessThan(1e-9 * 3e5 + 1e-3);
        }
      }),
      { numRuns: 120 },
    );
  });

  test('a pump whose dead-head is just the pressure it pumps against is solved', () => {
    for (const demand of [0, 2.771140149683635e-8, 1e-6, 1e-4, 1e-2]) {
      for (const feedBore of [0.003, 0.0033, 0.0036, 0.005]) {
        const network = returnCircuit({
          demand,
          feedBore,
          returnBore: 0.003,
          manifold: 249999.98406131688,
          set: 100000,
          voltage: 8.949193137566425,
          resistance: 0.24999999999977307,
          item: 'P900T',
          holding: false,
        });
        const s = solved(network);
        expect(s.pressures['rail']! - 249999.984).toBeLessThan(1);
        for (const node of free(network)) {
          expect(Math.abs(imbalance(network, s, node))).toBeLessThan(1e-9);
        }
      }
    }
  });

  test('a wider feed never lowers rail pressure', () => {
    fc.assert(
      fc.property(anyCircuit, (options) => {
        const narrow = solved(returnCircuit({ ...options, holding: false }));
        const wide = solved(
          returnCircuit({ ...options, holding: false, feedBore: options.feedBore * 1.2 }),
        );
        expect(wide.pressures['rail']).toBeGreaterThanOrEqual(narrow.pressures['rail']! - 1);
      }),
      { numRuns: 120 },
    );
  });

  test('a warm start ends where a cold one does', () => {
    const first = solved(returnCircuit({ demand: 0.012 }));
    const network = returnCircuit({ demand: 0.02, manifold: 50e3 });
    const cold = solved(network);
    const warm = solveNetwork(network, first.warm);
    expect(warm.state).toBe('converged');
    if (warm.state === 'failed') return;
    for (const id of Object.keys(cold.flows)) {
      expect(Math.abs(warm.flows[id]! - cold.flows[id]!)).toBeLessThan(1e-9);
    }
  });

  test('no flow anywhere is solved too', () => {
    const network: Network = {
      nodes: [{ id: 'a', fixedPressure: 5e3 }, { id: 'b' }, { id: 'c' }],
      branches: [pipe('one', 'a', 'b'), pipe('two', 'b', 'c'), draw('none', 'c', 0)],
      initialPressure: 0,
    };
    const s = solved(network);
    expect(s.pressures['c']).toBeCloseTo(5e3, 6);
  });
});

/** A flow of 10 g/s whatever the pressure is. */
const constantFlow: BranchModel = {
  initialFlow: 0.01,
  residual(m, _from, _to, out) {
    out.set([(m - 0.01) * FLOW_SCALE, FLOW_SCALE, 0, 0]);
  },
};

describe('what cannot be solved', () => {
  test('an element joined to nothing is named', () => {
    const result = solveNetwork({
      nodes: [{ id: 'a', fixedPressure: 0 }],
      branches: [pipe('loose', 'a', 'nowhere')],
      initialPressure: 0,
    });
    expect(result).toMatchObject({ state: 'failed', where: 'loose' });
  });

  test('a node named twice is refused', () => {
    const result = solveNetwork({
      nodes: [{ id: 'a' }, { id: 'a' }],
      branches: [],
      initialPressure: 0,
    });
    expect(result).toMatchObject({ state: 'failed', where: 'a' });
  });

  test('a constant flow out of a part that nothing feeds fails with a reason and no numbers', () => {
    const result = solveNetwork({
      nodes: [{ id: 'a', fixedPressure: 0 }, { id: 'island' }],
      branches: [
        { id: 'shut', from: 'a', to: 'island', model: () => closedBranch },
        { id: 'engine', from: 'island', to: null, model: () => constantFlow },
      ],
      initialPressure: 1e5,
    });
    expect(result.state).toBe('failed');
    expect(result).not.toHaveProperty('flows');
  });
});
