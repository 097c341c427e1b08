import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { samplePumps } from '../../exchange/samples/samplePumps.ts';
import { pumpModel } from '../pumps/pumpModel.ts';
import { draw, petrol, pipe, regulator } from '../../tests/hydraulicParts.ts';
import type { Network } from './network.ts';
import { controlledPumpBranch } from './controlledPumpBranch.ts';
import { forwardRegulatorBranch } from './forwardRegulatorBranch.ts';
import { orificeBranch } from './orificeBranch.ts';
import { solveNetwork } from './solveNetwork.ts';
import { surgeTankBranches } from './surgeTankBranches.ts';
import { GRAVITY, boreArea } from './fluid.ts';
import { SHARP_EDGE } from './orificeBranch.ts';

const item = samplePumps.find((p) => p.id === 'P340X')!;
const pumpAt = (voltage: number) =>
  pumpModel({ item, supply: { openCircuitV: voltage, seriesResistanceOhm: 0.05 }, wear: 0 });
const solved = (network: Network) => {
  const solution = solveNetwork(network);
  if (solution.state === 'failed') throw new Error(solution.reason);
  return solution;
};

describe('a plain hole', () => {
  test('takes what the orifice law says', () => {
    const diameter = 2e-3;
    const model = orificeBranch({ diameter, rise: 0, fluid: petrol, initialFlow: 0.01 });
    const { flows } = solved({
      nodes: [
        { id: 'a', fixedPressure: 300e3 },
        { id: 'b', fixedPressure: 100e3 },
      ],
      branches: [{ id: 'hole', from: 'a', to: 'b', model: () => model }],
      initialPressure: 0,
    });
    const byHand = SHARP_EDGE * boreArea(diameter) * Math.sqrt(2 * petrol.density * 200e3);
    expect(flows['hole']).toBeCloseTo(byHand, 9);
  });

  test('lets nothing through between equal pressures, and the same either way', () => {
    const hole = (a: number, b: number): number =>
      solved({
        nodes: [
          { id: 'a', fixedPressure: a },
          { id: 'b', fixedPressure: b },
        ],
        branches: [
          {
            id: 'hole',
            from: 'a',
            to: 'b',
            model: () =>
              orificeBranch({ diameter: 3e-3, rise: 0, fluid: petrol, initialFlow: 0.01 }),
          },
        ],
        initialPressure: 0,
      }).flows['hole']!;
    expect(Math.abs(hole(2e5, 2e5))).toBeLessThan(1e-6);
    expect(hole(3e5, 1e5)).toBeCloseTo(-hole(1e5, 3e5), 12);
  });
});

describe('a forward regulator', () => {
  const between = (input: { supply: number; set: number; demand: number; slope?: number }) =>
    solved({
      nodes: [{ id: 'in', fixedPressure: input.supply }, { id: 'out' }],
      branches: [
        {
          id: 'valve',
          from: 'in',
          to: 'out',
          model: (smoothing) =>
            forwardRegulatorBranch({
              item: { slope: input.slope ?? 0, openArea: 10e-6 },
              setPressure: input.set,
              fluid: petrol,
              initialFlow: 0.02,
              smoothing,
            }),
        },
        draw('injectors', 'out', input.demand, 1, -1e6),
      ],
      initialPressure: input.set,
    });

  test('holds its set pressure while the supply is above it', () => {
    const { pressures, flows } = between({ supply: 500e3, set: 300e3, demand: 0.03 });
    expect(pressures['out']).toBeCloseTo(300e3, 0);
    expect(flows['valve']).toBeCloseTo(0.03, 12);
  });

  test('droops with flow by its slope', () => {
    const slope = 2e3 / (0.1e-3 / 3.6);
    const { pressures } = between({ supply: 500e3, set: 300e3, demand: 0.03, slope });
    expect(pressures['out']).toBeCloseTo(300e3 - (slope * 0.03) / petrol.density, 3);
  });

  test('is an orifice when the supply is too low', () => {
    const { pressures } = between({ supply: 280e3, set: 300e3, demand: 0.03 });
    const loss = (0.03 / 10e-6) ** 2 / (2 * petrol.density);
    expect(pressures['out']).toBeCloseTo(280e3 - loss, 2);
  });

  test('lets nothing back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6e5, noNaN: true }),
        fc.double({ min: 0, max: 6e5, noNaN: true }),
        fc.double({ min: 1e5, max: 5e5, noNaN: true }),
        (supply, behind, setPressure) => {
          const { flows } = solved({
            nodes: [
              { id: 'in', fixedPressure: supply },
              { id: 'out', fixedPressure: behind },
            ],
            branches: [
              {
                id: 'valve',
                from: 'in',
                to: 'out',
                model: (smoothing) =>
                  forwardRegulatorBranch({
                    item: { slope: 1e8, openArea: 10e-6 },
                    setPressure,
                    fluid: petrol,
                    initialFlow: 0.02,
                    smoothing,
                  }),
              },
            ],
            initialPressure: 0,
          });
          expect(flows['valve']!).toBeGreaterThanOrEqual(-1e-12);
          if (behind >= Math.min(supply, setPressure)) expect(flows['valve']!).toBeLessThan(1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a pump driven by pressure', () => {
  const circuit = (demand: number, target: number, least = 6): Network => ({
    nodes: [{ id: 'tank', fixedPressure: 0 }, { id: 'out' }, { id: 'rail' }],
    branches: [
      {
        id: 'pump',
        from: 'tank',
        to: 'out',
        senses: 'rail',
        model: (smoothing) =>
          controlledPumpBranch({
            full: pumpAt(12.5),
            least: pumpAt(least),
            target,
            rise: 0,
            fluid: petrol,
            initialFlow: 0.03,
            smoothing,
          }),
      },
      pipe('feed', 'out', 'rail', { bore: 8e-3, length: 4 }),
      draw('injectors', 'rail', demand, 1, -1e6),
    ],
    initialPressure: target,
  });

  test('keeps the rail, not its own outlet, at the target', () => {
    for (const demand of [0.002, 0.01, 0.025]) {
      const { pressures, flows } = solved(circuit(demand, 350e3, 3));
      expect(Math.abs(pressures['rail']! - 350e3)).toBeLessThan(1);
      expect(pressures['out']!).toBeGreaterThan(pressures['rail']!);
      expect(flows['pump']).toBeCloseTo(demand, 12);
    }
  });

  test('at full speed gives what the curve gives, below the target', () => {
    const demand = 0.06;
    const { pressures } = solved(circuit(demand, 650e3));
    expect(pressures['rail']!).toBeLessThan(650e3);
    expect(pressures['out']).toBeCloseTo(
      pumpAt(12.5).operate(demand / petrol.density).pressureRise,
      3,
    );
  });

  test('at its least speed may stand above the target', () => {
    const { pressures } = solved(circuit(0.001, 100e3, 9));
    expect(pressures['rail']!).toBeGreaterThan(100e3);
    expect(pressures['out']).toBeCloseTo(pumpAt(9).operate(0.001 / petrol.density).pressureRise, 2);
  });

  test('solves over the whole range of demand and target', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.09, noNaN: true }),
        fc.double({ min: 50e3, max: 7e5, noNaN: true }),
        fc.double({ min: 3, max: 12, noNaN: true }),
        (demand, target, least) => {
          const solution = solveNetwork(circuit(demand, target, least));
          expect(solution.state).toBe('converged');
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('a surge tank that is full', () => {
  const tank = {
    kind: 'surge-tank' as const,
    id: 'surge',
    name: 'Surge tank',
    inlet: 'in',
    outlet: 'bottom',
    returnNode: 'back',
    overflow: 'over',
    volume: { value: 2e-3, unit: 'L' },
  };
  const heights = { in: 0.25, bottom: 0, back: 0.25, over: 0.25 };

  test('passes mass on and stands at one level pressure', () => {
    const ways = surgeTankBranches(tank, heights, petrol);
    const { flows, pressures } = solved({
      nodes: [
        { id: 'in' },
        { id: 'bottom' },
        { id: 'back' },
        { id: 'over', fixedPressure: 5e3 },
        { id: 'source' },
      ],
      branches: [
        ...ways.map((way) => ({ ...way, model: () => way.model })),
        draw('engine', 'bottom', 0.02, 1, -1e6),
        draw('from lift', 'in', -0.05, 1, -1e6),
        draw('from regulator', 'back', -0.03, 1, -1e6),
        draw('nothing', 'source', 0, 1, -1e6),
      ],
      initialPressure: 0,
    });
    expect(flows['surge~over']).toBeCloseTo(0.05 + 0.03 - 0.02, 9);
    expect(pressures['bottom']! - pressures['over']!).toBeCloseTo(
      petrol.density * GRAVITY * 0.25,
      -2,
    );
  });
});

describe('circuits of several ways', () => {
  test('alike rails stand at one pressure and share the flow', () => {
    const way = (n: number) => [
      pipe(`branch-${n}`, 'split', `rail-${n}`, { bore: 8e-3, length: 0.4 }),
      draw(`injectors-${n}`, `rail-${n}`, 0.015, 1, -1e6),
      pipe(`link-${n}`, `rail-${n}`, 'joined', { bore: 8e-3, length: 0.3 }),
    ];
    const { pressures, flows } = solved({
      nodes: [
        { id: 'split', fixedPressure: 320e3 },
        { id: 'rail-1' },
        { id: 'rail-2' },
        { id: 'joined' },
        { id: 'tank', fixedPressure: 0 },
      ],
      branches: [
        ...way(1),
        ...way(2),
        regulator('regulator', 'joined', 'tank', { set: 300e3, manifold: 0, holding: false }),
      ],
      initialPressure: 300e3,
    });
    expect(Math.abs(pressures['rail-1']! - pressures['rail-2']!)).toBeLessThan(1e-6);
    expect(flows['branch-1']).toBeCloseTo(flows['branch-2']!, 12);
    expect(flows['branch-1']! + flows['branch-2']!).toBeCloseTo(0.03 + flows['regulator']!, 12);
  });
});
