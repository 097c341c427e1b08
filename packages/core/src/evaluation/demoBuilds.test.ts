import { describe, expect, test } from 'vitest';
import { referenceProblems } from './references.ts';
import { demoBuilds, kittiwake, lantern, sampleCatalogue, sandpiper } from '../exchange/index.ts';
import { evaluate } from './evaluate.ts';

const idsOf = (build: (typeof demoBuilds)[number]['document'], severity: string): string[] =>
  evaluate(build, sampleCatalogue)
    .findings.filter((f) => f.severity === severity)
    .map((f) => f.id);

describe('the demo builds', () => {
  test.each(demoBuilds.map((d) => [d.id, d.document] as const))(
    '%s refers to nothing that is not there and solves in every case',
    (_id, document) => {
      expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
      for (const fluid of evaluate(document, sampleCatalogue).fluids) {
        for (const { point, solution } of Object.values(fluid.cases)) {
          expect(solution.state, point.name).toBe('converged');
        }
      }
    },
  );

  test.each(demoBuilds.map((d) => [d.id, d.document] as const))(
    '%s leads every fuel line from a place to another one',
    (_id, document) => {
      const lines = Object.values(document.fuelCircuits).flatMap(({ elements }) =>
        Object.keys(elements).filter((id) => elements[id]!.kind === 'line'),
      );
      const led = evaluate(document, sampleCatalogue).map.lines.filter(
        ({ length }) => length !== undefined && length.value > 0.05,
      );
      expect(led.map((line) => line.lineId)).toEqual(expect.arrayContaining(lines));
    },
  );

  test('hold the fixed facts of their briefs', () => {
    expect(lantern.brief.power.value).toBe(168e3);
    expect(sandpiper.brief.power.value).toBe(52e3);
    expect(sandpiper.brief.powerSpeed.value * 60).toBeCloseTo(8600, 6);
    expect(sandpiper.fuelCircuits['main']!.architecture).toBe('return-at-tank');
    expect(kittiwake.brief.power.value).toBe(520e3);
    expect(kittiwake.brief.boost.value).toBeCloseTo(190e3, 6);
  });

  test('Sandpiper stands without a stop', () => {
    expect(idsOf(sandpiper, 'stop')).toEqual([]);
  });

  test('Kittiwake stands without a stop on two fuels', () => {
    expect(idsOf(kittiwake, 'stop')).toEqual([]);
    expect(idsOf(kittiwake, 'note')).toEqual(
      expect.arrayContaining(['pump.lost:main', 'fuel.season:e85', 'fuel.cold-start:main']),
    );
  });
});
