import { describe, expect, test } from 'vitest';
import { createEvaluator } from '../../evaluation/index.ts';
import { demoBuilds, sampleCatalogue } from '../../exchange/index.ts';
import { startAhead } from './solvedFlow.ts';
import { bareRowDifference, solveBarePoint } from './solvePoint.ts';
import { sweepMap } from './sweepMap.ts';

const at = (value: number) => ({
  pressures: Float64Array.of(value * 1e5, 3e5),
  flows: Float64Array.of(value * 1e-3),
});

describe('where a circuit is likely to come to rest', () => {
  const before = { massFlow: 1e-3, at: at(1) };
  const last = { massFlow: 2e-3, at: at(2) };

  test('lies straight on from the two flows before', () => {
    const start = startAhead([before, last], 2.5e-3);
    expect(start?.pressures[0]).toBeCloseTo(2.5e5, 6);
    expect(start?.pressures[1]).toBe(3e5);
    expect(start?.flows[0]).toBeCloseTo(2.5e-3, 12);
  });

  test.each([
    ['back', 1.5e-3],
    ['too far', 9e-3],
    ['nowhere', 2e-3],
  ])('is where it was last when the way leads %s', (_, massFlow) => {
    expect(startAhead([before, last], massFlow)).toBe(last.at);
  });

  test('is where it was last after one, after equal flows, and nowhere before the first', () => {
    expect(startAhead([undefined, last], 3e-3)).toBe(last.at);
    expect(startAhead([last, last], 3e-3)).toBe(last.at);
    expect(startAhead([undefined, undefined], 3e-3)).toBeUndefined();
  });
});

test.each(demoBuilds.map(({ id, document }) => [id, document] as const))(
  '%s comes to the same at every point of its map from where it was as from nowhere',
  (_, document) => {
    const { design } = createEvaluator().check(document, sampleCatalogue);
    for (const circuit of design.circuits) {
      for (const { point, rows } of sweepMap(design, circuit)) {
        const alone = solveBarePoint(design, circuit, point, {});
        if (alone.state === 'failed') throw new Error(alone.reason);
        for (const { row, difference } of rows ?? []) {
          const { pressures } = alone;
          const fromNowhere = bareRowDifference(circuit, row, pressures, point.manifoldGauge);
          expect(difference).toBeCloseTo(fromNowhere, 4);
        }
        expect(rows).toHaveLength(circuit.rows.length);
      }
    }
  },
);
