import { describe, expect, test } from 'vitest';
import { createEvaluator } from '../../evaluation/index.ts';
import { demoBuilds, sampleCatalogue } from '../../exchange/index.ts';
import { type CircuitElement, documentSpec, readBuild } from '../../model/index.ts';
import type { Fields } from '../../model/spec.ts';
import { elementSpec } from '../model.ts';
import { walkSpec } from '../../model/specAt.ts';
import { laidOutAs } from '../../tests/trippedSystems.ts';
import { nodesOf, withPrefix } from '../circuits/circuitEdits.ts';
import { GRAVITY } from '../hydraulics/fluid.ts';
import { prepareCircuit } from '../hydraulics/circuitNetwork.ts';
import { stateOf } from '../hydraulics/solveCircuit.ts';
import { namedCases } from '../running/cases.ts';
import { conditionsAt, solvePoint } from '../running/solvePoint.ts';
import { elementKindOf, elementKinds, portsOf, waysOf } from './elementKinds.ts';

const kinds = Object.keys(elementKinds) as CircuitElement['kind'][];
const checkedDemos = [...demoBuilds.map((d) => d.document), laidOutAs('surge-tank')].map((build) =>
  createEvaluator().check(build, sampleCatalogue),
);
const circuits = checkedDemos.flatMap(({ design }) =>
  design.circuits.map((circuit) => ({ design, circuit })),
);
const elements = circuits.flatMap(({ circuit }) => circuit.circuit.elements);

describe('the entry of a kind', () => {
  test.each(kinds)('%s names the joints that its fields name', (kind) => {
    const declared = Object.entries(elementSpec.kinds[kind].fields)
      .filter(([, spec]) => spec.type === 'reference' && spec.to === 'nodes')
      .map(([field]) => field);
    expect([...elementKinds[kind].ports].sort()).toEqual(declared.sort());
  });

  test.each(kinds)('%s takes its part from the shelf that its field names', (kind) => {
    const fields: Fields = elementSpec.kinds[kind].fields;
    const item = fields['item'];
    const category = item && 'category' in item ? item.category : null;
    expect(elementKinds[kind].category).toBe(category);
  });

  test.each(kinds)('%s lets fuel through from joint to joint only', (kind) => {
    const { ports, ways } = elementKinds[kind];
    for (const way of ways) {
      expect(new Set(way).size).toBe(2);
      for (const port of way) expect(ports).toContain(port);
    }
  });

  test.each(kinds)('%s has a law, branches or known pressures', (kind) => {
    const entry = elementKinds[kind];
    expect(entry.law ?? entry.branches ?? entry.fixedNodes).toBeDefined();
  });

  test('every kind but the rarest stands in what is tried here', () => {
    const tried = new Set(elements.map((e) => e.kind));
    expect(kinds.filter((kind) => !tried.has(kind))).toEqual(['dead-head-regulator', 'orifice']);
  });
});

describe('joints of elements', () => {
  test('are joints of their circuit, each named once by an element', () => {
    for (const { circuit } of circuits) {
      const known = new Set(circuit.circuit.nodes.map((n) => n.id));
      for (const element of circuit.circuit.elements) {
        const nodes = nodesOf(element);
        expect(nodes.filter((node) => !known.has(node))).toEqual([]);
        for (const [from, to] of waysOf(element))
          expect(nodes).toEqual(expect.arrayContaining([from, to]));
      }
    }
  });

  test('with a prefix no element mentions a joint without it, sensors included', () => {
    for (const { circuit } of circuits) {
      const moved = withPrefix(circuit.circuit, 'second-');
      for (const element of moved.elements) {
        walkSpec(elementSpec.kinds[element.kind], element, ({ spec, value }) => {
          if (spec.type === 'reference' && spec.to === 'nodes') {
            expect(String(value)).toMatch(/^second-/);
          }
        });
        expect(portsOf(element).map(([port]) => port)).toEqual([...elementKindOf(element).ports]);
      }
    }
  });

  test('with a prefix a circuit solves to the same pressures', () => {
    for (const { design, circuit } of circuits) {
      const prefixed = <T>(record: Readonly<Record<string, T>>) =>
        Object.fromEntries(Object.entries(record).map(([id, value]) => [`x-${id}`, value]));
      const moved = {
        ...circuit,
        circuit: withPrefix(circuit.circuit, 'x-'),
        heights: prefixed(circuit.heights),
        lengths: prefixed(circuit.lengths),
        bendLosses: prefixed(circuit.bendLosses),
        seriesResistances: prefixed(circuit.seriesResistances),
      };
      const point = namedCases(design.document, design.demand).cruise;
      const here = solvePoint(design, circuit, point);
      const there = solvePoint(design, moved, point);
      if (here.state === 'failed' || there.state === 'failed') throw new Error('not solved');
      for (const [node, pressure] of Object.entries(here.pressures)) {
        expect(Math.abs(there.pressures[`x-${node}`]! - pressure)).toBeLessThan(1e-6);
      }
    }
  });
});

describe('laws of what is the same at every running point', () => {
  const passive = circuits.flatMap(({ circuit }) =>
    circuit.circuit.elements.flatMap((element) => {
      const { law } = elementKindOf(element);
      if (!law || !('from' in element)) return [];
      const { fuel, heights, lengths } = circuit;
      const at = {
        catalogue: sampleCatalogue,
        fluid: fuel.hot,
        heights,
        length: lengths[element.id] ?? 0,
        bendLoss: 0,
      };
      const rise = (heights[element.to] ?? 0) - (heights[element.from] ?? 0);
      return [
        { name: `${element.kind} ${element.id}`, model: law(element, at), rise, fluid: fuel.hot },
      ];
    }),
  );
  const lossAt = (law: (typeof passive)[number], flow: number): number => {
    const row = new Float64Array(5);
    law.model.residual(flow, 0, 0, row, 0);
    return -row[0]! - law.fluid.density * GRAVITY * law.rise;
  };

  test('are many', () => {
    expect(passive.length).toBeGreaterThan(20);
  });

  test.each(passive)('$name loses nothing at rest but its height', (law) => {
    expect(Math.abs(lossAt(law, 0))).toBeLessThan(1e-9);
  });

  test.each(passive)('$name loses more the more flows', (law) => {
    let before = 0;
    for (const flow of [1e-5, 1e-4, 1e-3, 5e-3, 0.02, 0.05, 0.1]) {
      const loss = lossAt(law, flow);
      expect(loss).toBeGreaterThan(before);
      before = loss;
    }
  });

  test.each(passive)('$name has the slope that its law has', (law) => {
    const row = new Float64Array(5);
    for (const flow of [0.004, 0.03, 0.08]) {
      const step = flow * 1e-6;
      law.model.residual(flow, 3e5, 1e5, row, 0);
      const slope = (lossAt(law, flow + step) - lossAt(law, flow - step)) / (2 * step);
      expect(Math.abs(-row[1]! / slope - 1)).toBeLessThan(1e-3);
      expect([row[2], row[3]]).toEqual([1, -1]);
    }
  });
});

describe('what is read off a solved circuit', () => {
  test('the drop of an element is the loss that its law has at its flow', () => {
    for (const { design, circuit } of circuits) {
      const point = namedCases(design.document, design.demand).peakPower;
      const solution = solvePoint(design, circuit, point);
      if (solution.state === 'failed') throw new Error(solution.reason);
      const prepared = prepareCircuit({
        circuit: circuit.circuit,
        catalogue: sampleCatalogue,
        fluid: circuit.fuel.hot,
        heights: circuit.heights,
        lengths: circuit.lengths,
        bendLosses: circuit.bendLosses,
      });
      const row = new Float64Array(5);
      for (const [id, branch] of prepared.passive) {
        const state = stateOf(solution, id);
        branch.model(0).residual(state.massFlow, state.inletPressure, state.outletPressure, row, 0);
        expect(Math.abs(row[0]!), id).toBeLessThan(1e-6);
      }
    }
  });

  test('each rail draws what its row asks, or all that it passes', () => {
    for (const { design, circuit } of circuits) {
      const point = namedCases(design.document, design.demand).cruise;
      const solution = solvePoint(design, circuit, point);
      if (solution.state === 'failed') throw new Error(solution.reason);
      for (const [railId, draw] of Object.entries(conditionsAt(circuit, point).draws)) {
        const state = stateOf(solution, railId);
        const most = draw.staticCoefficient * Math.sqrt(Math.max(0, state.pressureDrop));
        expect(state.massFlow).toBeCloseTo(Math.min(draw.demand, most), 12);
      }
    }
  });

  test('an element that is not in the circuit is named', () => {
    expect(() => stateOf({ elements: {} }, 'nothing')).toThrow('"nothing"');
  });
});

test('every stored element of the demos is of a kind with an entry', () => {
  for (const { document } of demoBuilds) {
    walkSpec(documentSpec, document, ({ spec, value, path }) => {
      if (path.length === 4 && path[0] === 'fuelCircuits' && path[2] === 'elements') {
        expect(spec.type).toBeDefined();
        expect(kinds).toContain((value as CircuitElement).kind);
      }
    });
    expect(readBuild(document).fuelCircuits.length).toBeGreaterThan(0);
  }
});
