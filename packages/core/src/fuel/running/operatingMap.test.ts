import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type BuildDocument, readBuild, withValueAt, writeBuild } from '../../model/index.ts';
import { demoBuilds, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { createEvaluator } from '../../evaluation/index.ts';
import { sweepMap } from './sweepMap.ts';
import { operatingMap, operatingPoint, operatingQuantities } from './operatingMap.ts';

const checkedOf = (build: BuildDocument) => createEvaluator().check(build, sampleCatalogue);

describe.each(demoBuilds.map((d) => [d.id, d.document] as const))('the map of %s', (_id, build) => {
  const checked = checkedOf(build);
  const map = operatingMap(checked);
  const [circuit] = map.circuits;

  test('has every point, with duty and Δp as swept from neighbour to neighbour', () => {
    for (const { id } of operatingQuantities) {
      expect(circuit!.tables[id]).toHaveLength(map.speeds.length);
      for (const row of circuit!.tables[id]) expect(row).toHaveLength(map.loads.length);
    }
    for (const swept of sweepMap(checked.design, checked.design.circuits[0]!)) {
      const { duty, difference } = circuit!.tables;
      const duties = swept.rows!.map((row) => row.duty);
      const differences = swept.rows!.map((row) => row.difference);
      const at = (table: typeof duty) => table[swept.speedIndex]![swept.loadIndex];
      expect(at(duty)).toBeCloseTo(Math.max(...duties), 6);
      expect(at(difference)).toBeCloseTo(Math.min(...differences), 1);
    }
  });

  test.each(operatingQuantities.map((q) => [q.id, q.worse] as const))(
    'the worst point of %s is the worst',
    (id, worse) => {
      const { speedIndex, loadIndex } = circuit!.worst[id];
      const values = circuit!.tables[id].flat().filter((v) => v !== null);
      const extreme = worse === 'higher' ? Math.max(...values) : Math.min(...values);
      expect(circuit!.tables[id][speedIndex]![loadIndex]).toBe(extreme);
    },
  );

  test('the worst duty is the one that the checks judge', () => {
    const { speedIndex, loadIndex } = circuit!.worst.duty;
    expect(circuit!.tables.duty[speedIndex]![loadIndex]).toBeCloseTo(
      checked.fluids[0]!.worstDuty!.duty,
      6,
    );
  });

  test('a point looked at closely is the point of the map, with mass conserved', () => {
    const at = circuit!.worst.pumpMargin;
    const { values, solution } = operatingPoint(checked, 0, at);
    for (const { id, kind } of operatingQuantities) {
      const known = circuit!.tables[id][at.speedIndex]![at.loadIndex]!;
      expect(values[id]).toBeCloseTo(known, kind === 'pressure' ? 1 : 6);
    }
    if (solution.state === 'failed') throw new Error(solution.reason);
    const { elements } = solution;
    const back = elements['return'] ?? elements['regulator~bypass']!;
    const { circuit: drawn } = checked.fluids[0]!.design;
    const flow = (kind: string): number =>
      drawn.elements
        .filter((e) => e.kind === kind)
        .reduce((sum, e) => sum + elements[e.id]!.massFlow, 0);
    expect(flow('pump')).toBeCloseTo(flow('injectors') + back.massFlow, 8);
  });
});

describe('what holds on any map', () => {
  const lineAt = (id: string): string => `fuelCircuits.main.elements.${id}.item`;
  const rail = (build: BuildDocument): number => {
    const { solution } = checkedOf(build).fluids[0]!.cases.peakPower;
    if (solution.state === 'failed') throw new Error(solution.reason);
    return solution.elements['injectors']!.inletPressure;
  };
  const sizes = [4, 6, 8, 10, 12, 16];

  test('a wider line never lowers rail pressure at peak', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('suction', 'pump-inlet', 'pump-outlet', 'feed'),
        fc.constantFrom('HBR', 'HBP', 'HPR'),
        fc.integer({ min: 0, max: sizes.length - 2 }),
        fc.constantFrom('P190', 'P255', 'P340X', 'P520X'),
        fc.integer({ min: 60, max: 400 }),
        (line, family, n, pump, kW) => {
          const base = [
            [lineAt('pump'), { id: pump, revision: 1 }],
            ['brief.power', { value: kW * 1e3, unit: 'kW' }],
            ['demand', { school: 'power', reason: 'any power' }],
          ].reduce<BuildDocument>(
            (doc, [path, value]) => withValueAt(doc, path as string, value),
            lantern,
          );
          const withHose = (dash: number): BuildDocument =>
            withValueAt(base, lineAt(line), { id: `${family}-${dash}`, revision: 1 });
          // A regulator holds its pressure to a slope: less flow back may read a little lower.
          expect(rail(withHose(sizes[n + 1]!))).toBeGreaterThanOrEqual(
            rail(withHose(sizes[n]!)) - 1,
          );
        },
      ),
      { numRuns: 30 },
    );
  });

  const build = readBuild(lantern);
  const [main] = build.fuelCircuits;

  test('the order of elements and nodes changes nothing beyond 1e-9', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...main!.elements], { minLength: main!.elements.length }),
        fc.shuffledSubarray([...main!.nodes], { minLength: main!.nodes.length }),
        (elements, nodes) => {
          const shuffled = writeBuild({
            ...build,
            fuelCircuits: [{ ...main!, elements, nodes }],
          });
          const known = checkedOf(lantern).fluids[0]!.cases;
          const again = checkedOf(shuffled).fluids[0]!.cases;
          for (const name of ['keyOnPrime', 'hotIdle', 'overrun', 'peakPower'] as const) {
            const a = known[name].solution;
            const b = again[name].solution;
            if (a.state === 'failed' || b.state === 'failed') throw new Error('not solved');
            for (const [node, pressure] of Object.entries(a.pressures)) {
              expect(Math.abs(b.pressures[node]! - pressure)).toBeLessThanOrEqual(
                1e-9 * Math.max(1e5, Math.abs(pressure)),
              );
            }
          }
        },
      ),
      { numRuns: 12 },
    );
  });
});
