import { describe, expect, test } from 'vitest';
import { applyCommand, referenceProblems } from '../build/index.ts';
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

  test('hold the fixed facts of their briefs', () => {
    expect(lantern.brief.power.value).toBe(168e3);
    expect(sandpiper.brief.power.value).toBe(52e3);
    expect(sandpiper.brief.powerSpeed.value * 60).toBeCloseTo(8600, 6);
    expect(sandpiper.fuelCircuits[0]!.architecture).toBe('return-at-tank');
    expect(kittiwake.brief.power.value).toBe(520e3);
    expect(kittiwake.brief.boost.value).toBeCloseTo(190e3, 6);
  });

  test('Sandpiper stands without a stop', () => {
    expect(idsOf(sandpiper, 'stop')).toEqual([]);
  });

  test('Kittiwake says that its second row is missing, and nothing else stops it', () => {
    expect(idsOf(kittiwake, 'stop')).toEqual(['injector.air-share']);
    const finding = evaluate(kittiwake, sampleCatalogue).findings[0]!;
    expect(finding.numbers['rest']!.value).toBeCloseTo(0.38, 9);
    const cure = finding.cures.find((c) => c.command)!;
    const cured = applyCommand(kittiwake, cure.command!).document;
    expect(cured.injectorRows[0]!.airShare.value).toBeCloseTo(1, 9);
    expect(idsOf(cured, 'stop')).not.toContain('injector.air-share');
  });

  test('a row that fuels a share of the air is asked for that share of the fuel', () => {
    const demand = (share: number): number => {
      const build = {
        ...kittiwake,
        injectorRows: [{ ...kittiwake.injectorRows[0]!, airShare: { value: share, unit: '%' } }],
      };
      const { cases } = evaluate(build, sampleCatalogue).fluids[0]!;
      return cases.hotIdle.point.massFlow;
    };
    expect(demand(0.5) / demand(1)).toBeCloseTo(0.5, 9);
  });
});
