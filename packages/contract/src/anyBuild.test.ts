import 'reflect-metadata';
import {
  type BuildDocument,
  type Evaluation,
  computeFormula,
  createEvaluator,
  evaluate,
  formulas,
  hashOf,
  lantern,
  limitLadder,
  newestOf,
  partsList,
  readsAs,
  sampleCatalogue,
  toBuildFile,
  wireList,
  withValueAt,
} from '@brookrain/core';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { documentIssues, readBuildFile } from './index.ts';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const quantity = (min: number, max: number, unit: string) =>
  between(min, max).map((value) => ({ value, unit }));
const item = (category: 'pump' | 'injector' | 'hose' | 'filter' | 'regulator' | 'relay') =>
  fc.constantFrom(
    ...newestOf(sampleCatalogue, category).map((i) => ({ id: i.id, revision: i.revision })),
  );
const at = (id: string): string => `fuelCircuits.main.elements.${id}`;

/** Anything a technician may enter, by the place it is entered. */
const entries: Record<string, fc.Arbitrary<unknown>> = {
  'brief.displacement': quantity(0.05e-3, 12e-3, 'L'),
  'brief.cylinders': fc.integer({ min: 1, max: 12 }),
  'brief.power': quantity(5e3, 900e3, 'kW'),
  'brief.boost': quantity(0, 5e5, 'bar'),
  'brief.idleManifoldAbsolute': quantity(12e3, 108e3, 'kPa'),
  'brief.altitude': quantity(-400, 5900, 'm'),
  'brief.ambientHot': quantity(240, 330, '°C'),
  'brief.fuelTemperatureHot': fc.option(quantity(235, 390, '°C')),
  'brief.chargeTemperature': fc.option(quantity(240, 390, '°C')),
  'brief.lambdaFullLoad': fc.option(quantity(0.5, 1.5, '')),
  'brief.aspiration': fc.constantFrom('natural', 'supercharged', 'turbo'),
  'brief.cycle': fc.constantFrom('four-stroke', 'two-stroke', 'rotary'),
  'brief.use': fc.constantFrom('road', 'off-road', 'competition', 'two-or-three-wheeler'),
  'fuels.pump-fuel.ethanol': quantity(0, 1, '%'),
  'fuels.pump-fuel.reidVapourPressure': quantity(20e3, 120e3, 'kPa'),
  'injectorRows.primary.count': fc.integer({ min: 1, max: 12 }),
  'injectorRows.primary.shotsPerCycle': fc.integer({ min: 1, max: 2 }),
  'injectorRows.primary.item': item('injector'),
  [`${at('pump')}.item`]: item('pump'),
  [`${at('pump')}.wear`]: quantity(0, 0.6, '%'),
  [`${at('feed')}.item`]: item('hose'),
  [`${at('return')}.item`]: item('hose'),
  [`${at('suction')}.item`]: item('hose'),
  [`${at('fine')}.item`]: item('filter'),
  [`${at('fine')}.state`]: fc.constantFrom('clean', 'loaded'),
  [`${at('regulator')}.item`]: item('regulator'),
  [`${at('regulator')}.setPressure`]: quantity(40e3, 1.2e6, 'kPa'),
  [`${at('regulator')}.manifoldRatio`]: quantity(0, 3, ''),
  [`${at('feed')}.length.typed`]: quantity(0.05, 40, 'm'),
  [`${at('tank')}.fuelLevel`]: quantity(0, 1.5, 'mm'),
  'limits.voltageLow': quantity(8, 14, 'V'),
  'limits.designFactor': quantity(1, 2, '%'),
  'limits.injectorDuty': quantity(0.5, 0.95, '%'),
  'power.wireSystem': fc.constantFrom('metric', 'awg'),
  'devices.pump-relay.part.item': item('relay'),
  'devices.pump.loadedTogether': fc.integer({ min: 1, max: 30 }),
};

const anyBuild = fc
  .uniqueArray(fc.constantFrom(...Object.keys(entries)), { minLength: 1, maxLength: 12 })
  .chain((paths) => fc.tuple(fc.constant(paths), fc.tuple(...paths.map((p) => entries[p]!))))
  .map(([paths, values]) =>
    paths.reduce<BuildDocument>((doc, path, i) => withValueAt(doc, path, values[i]), lantern),
  );

// One that remembers: that it answers as a fresh one does is the last of these tests.
const evaluator = createEvaluator();
const elsewhere = createEvaluator();

describe('any build that the fields accept', () => {
  test('is accepted by the API, and evaluated to finite figures with true workings', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        expect(documentIssues(build, sampleCatalogue)).toEqual([]);
        const evaluation = evaluator.evaluate(build, sampleCatalogue);
        const wrong = evaluation.results.filter(({ value, working }) => {
          const inputs = Object.fromEntries(working.inputs.map((i) => [i.name, i.value]));
          const again = computeFormula(formulas.get(working.formula)!, inputs);
          const off = Math.abs(again - value) / Math.max(Math.abs(value), 1e-9);
          return !(Number.isFinite(value) && off < 1e-9);
        });
        expect(wrong.map(({ key, value }) => `${key} = ${value}`)).toEqual([]);
        for (const fluid of evaluation.fluids) {
          for (const { point, solution } of Object.values(fluid.cases)) {
            const reason = solution.state === 'failed' ? solution.reason : '';
            expect(solution.state, `${point.name}: ${reason}`).toBe('converged');
          }
        }
      }),
      { numRuns: 30 },
    );
  }, 120_000);

  test('goes out as a file and comes back with the same hash, the same figures', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const text = JSON.stringify(toBuildFile(build, sampleCatalogue));
        const read = readBuildFile(text, { items: [] });
        if (!read.ok) throw new Error(JSON.stringify(read.issues));
        expect(hashOf(read.document)).toBe(hashOf(build));
        const there = elsewhere.evaluate(read.document, { items: read.items });
        const here = evaluator.evaluate(build, sampleCatalogue);
        const told = ({ results }: Evaluation): string[] =>
          results.map(({ key, value }) => `${key} = ${value}`);
        const before = told(here);
        expect(told(there).filter((line, i) => line !== before[i])).toEqual([]);
        expect(there.results).toHaveLength(before.length);
      }),
      { numRuns: 15 },
    );
  }, 120_000);

  test('has a sorted ladder, findings that read, and lists to download', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const evaluation = evaluator.evaluate(build, sampleCatalogue);
        const powers = limitLadder(evaluator.check(build, sampleCatalogue)).rungs.map(
          (rung) => rung.power ?? Infinity,
        );
        expect([...powers].sort((a, b) => a - b)).toEqual(powers);
        for (const finding of evaluation.findings) {
          expect(readsAs(finding, 'metric'), finding.id).not.toMatch(/\{\w+\}|NaN|undefined/);
        }
        expect(new Set(evaluation.findings.map((f) => f.id)).size).toBe(evaluation.findings.length);
        expect(partsList(build, evaluation).length).toBeGreaterThan(8);
        expect(wireList(evaluation).every((w) => w.length > 0)).toBe(true);
      }),
      { numRuns: 20 },
    );
  }, 120_000);

  test('evaluated after any other it is the same as evaluated alone', () => {
    fc.assert(
      fc.property(anyBuild, anyBuild, (first, second) => {
        evaluator.evaluate(first, sampleCatalogue);
        const after = evaluator.evaluate(second, sampleCatalogue);
        expect(hashOf(after.results)).toBe(hashOf(evaluate(second, sampleCatalogue).results));
      }),
      { numRuns: 10 },
    );
  }, 120_000);
});
