import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Catalogue } from '../catalogue/index.ts';
import { type BuildDocument, architectures, readBuild, withValueAt } from '../model/index.ts';
import {
  type FluidResult,
  type SolvedCircuit,
  type SweptPoint,
  dutyAlone,
  pumpsOf,
  railsOf,
  rowMassFlow,
  stagedIn,
  sweepMap,
  thickerWire,
} from '../fuel/index.ts';
import { demoBuilds, kittiwake, lantern, sampleCatalogue } from '../exchange/index.ts';
import { laidOutAs } from '../tests/trippedSystems.ts';
import { judgeArchitecture, judgeCircuit, otherArchitectures } from './compareCircuits.ts';
import { compareFuels } from './compareFuels.ts';
import { createEvaluator } from './evaluate.ts';
import { type Ladder, limitLadder, reachedRungs } from './ladder.ts';
import { ladderVariants, variantLadder } from './ladderVariants.ts';
import { finished } from '../numerics/index.ts';
import { evaluated, knownBuild } from '../tests/evaluated.ts';

const converged = (build: BuildDocument, name: 'peakPower' | 'hotIdle' | 'cruise', index = 0) => {
  const { point, solution } = evaluated(build).fluids[index]!.cases[name];
  if (solution.state === 'failed') throw new Error(solution.reason);
  return { point, solution: solution as SolvedCircuit };
};
const value = (build: BuildDocument, key: string): number =>
  evaluated(build).results.find((r) => r.key === key)!.value;

/** What is judged as the worst duty is the worst of the whole map. */
const expectWorst = (fluid: FluidResult, swept: readonly SweptPoint[]): void => {
  const duties = swept.flatMap((p) => (p.rows ?? []).map((row) => row.duty));
  expect(Math.abs(fluid.worstDuty!.duty - Math.max(...duties))).toBeLessThan(1e-9);
};

describe('the worst duty', () => {
  const worstOf = (build: BuildDocument): void => {
    const { design, fluids } = createEvaluator().check(build, sampleCatalogue);
    for (const fluid of fluids) expectWorst(fluid, sweepMap(design, fluid.design));
  };

  test.each(demoBuilds.map(({ id, document }) => [id, document] as const))(
    'of %s is the worst of its whole map',
    (_id, document) => worstOf(document),
  );

  test('is found where a staged row has not joined yet', () => {
    for (const aboveDuty of [0.3, 0.6, 0.95, 1.3]) {
      worstOf(
        withValueAt(kittiwake, 'injectorRows.secondary.staging.aboveDuty', {
          value: aboveDuty,
          unit: '%',
        }),
      );
    }
  });

  test('is found where a pump in its low step falls behind', () => {
    for (const above of [40e-3, 90e-3, 160e-3]) {
      const control = {
        kind: 'stepped',
        lowShare: { value: 0.45, unit: '%' },
        above: { value: above / 3600, unit: 'L/h' },
        below: { value: (0.8 * above) / 3600, unit: 'L/h' },
      };
      worstOf(withValueAt(lantern, 'fuelCircuits.main.elements.pump.control', control));
    }
  });
});

describe('every layout', () => {
  test.each(architectures)('%s solves every case with mass conserved at every joint', (name) => {
    const build = laidOutAs(name);
    const fluid = evaluated(build).fluids[0]!;
    for (const { point, solution } of Object.values(fluid.cases)) {
      if (solution.state === 'failed') throw new Error(`${point.name}: ${solution.reason}`);
      const flow = (kind: string): number =>
        fluid.design.circuit.elements
          .filter((e) => e.kind === kind)
          .reduce((sum, e) => sum + solution.elements[e.id]!.massFlow, 0);
      const back = solution.elements['return'] ??
        solution.elements['regulator~bypass'] ?? { massFlow: 0 };
      const main = fluid.design.circuit.elements
        .filter((e) => e.kind === 'pump' && e.id !== 'lift-pump')
        .reduce((sum, e) => sum + solution.elements[e.id]!.massFlow, 0);
      expect(main).toBeCloseTo(flow('injectors') + back.massFlow, 8);
    }
  });

  test('a returnless pump gives just what is injected, on less than full voltage', () => {
    const build = laidOutAs('returnless');
    const { solution } = converged(build, 'cruise');
    expect(solution.elements['pump']!.massFlow).toBeCloseTo(
      solution.elements['injectors']!.massFlow,
      10,
    );
    expect(solution.pumps['pump']!.share).toBeLessThan(0.9);
    const returning = converged(laidOutAs('return-after-rail'), 'cruise').solution;
    const power = (s: SolvedCircuit) => s.pumps['pump']!.voltage * s.pumps['pump']!.current;
    expect(power(solution)).toBeLessThan(0.8 * power(returning));
    expect(value(build, 'tank.heatingPerHour')).toBeLessThan(
      value(laidOutAs('return-after-rail'), 'tank.heatingPerHour'),
    );
  });

  test('twin pumps share the flow and the current, and deliver more than one', () => {
    const twin = converged(laidOutAs('twin-pumps'), 'peakPower').solution;
    expect(twin.elements['pump']!.massFlow).toBeCloseTo(twin.elements['pump-2']!.massFlow, 3);
    expect(value(laidOutAs('twin-pumps'), 'pump.peak.flowAvailable')).toBeGreaterThan(
      1.6 * value(laidOutAs('return-after-rail'), 'pump.peak.flowAvailable'),
    );
  });

  test('a surge tank lasts its volume over the flow of the engine', () => {
    const build = laidOutAs('surge-tank');
    expect(value(build, 'surge.seconds')).toBeCloseTo(2e-3 / value(build, 'surge.flow'), 9);
    expect(value(build, 'surge.flow')).toBeCloseTo(value(build, 'pump.peak.flowNeeded'), 12);
  });

  test('costs each block of several ways once, as it is bought', () => {
    const dearer = {
      items: sampleCatalogue.items.map((item) =>
        item.category === 'fitting' && item.form === 'Y-block'
          ? { ...item, price: item.price + 100 }
          : item,
      ),
    };
    const costs = (catalogue: Catalogue): number =>
      Object.keys(kittiwake.fuelCircuits).reduce(
        (sum, id) => sum + judgeCircuit(knownBuild(kittiwake, catalogue), id).price,
        0,
      );
    const { parts } = evaluated(kittiwake).parts;
    const blocks = parts.filter(
      ({ item }) => item.category === 'fitting' && item.form === 'Y-block',
    );
    const bought = blocks.reduce((sum, { quantity }) => sum + quantity, 0);
    expect(bought).toBeGreaterThan(1);
    expect(costs(dearer) - costs(sampleCatalogue)).toBeCloseTo(100 * bought, 6);
  });

  test('is judged beside the present one on the same demand', () => {
    const now = judgeCircuit(knownBuild(lantern), 'main');
    for (const architecture of otherArchitectures(now.circuit)) {
      const other = judgeArchitecture(knownBuild(lantern), 'main', architecture);
      expect(other.circuit.architecture).toBe(architecture);
      expect(other.price).toBeGreaterThan(0);
      expect(other.joints).toBeGreaterThan(5);
      expect(other.pumpMargin).toBeDefined();
    }
  });
});

describe('any build', () => {
  const any = fc.record({
    architecture: fc.constantFrom(...architectures),
    pump: fc.constantFrom('P190', 'P255', 'P340', 'P340X', 'P520X', 'P900T'),
    hose: fc.constantFrom('HBR-4', 'HBR-6', 'HBP-8', 'HPR-10'),
    kW: fc.integer({ min: 30, max: 500 }),
    ethanol: fc.double({ min: 0, max: 1, noNaN: true }),
    celsius: fc.integer({ min: -30, max: 70 }),
    volts: fc.double({ min: 9, max: 14.4, noNaN: true }),
    cylinders: fc.constantFrom(3, 4, 6, 8),
  });

  test('in any layout solves every case and every point of the map', () => {
    const evaluator = createEvaluator();
    fc.assert(
      fc.property(any, (drawn) => {
        const base = withValueAt(lantern, 'brief.cylinders', drawn.cylinders);
        const laid = laidOutAs(drawn.architecture, base);
        const circuit = readBuild(laid).fuelCircuits[0]!;
        const ref = (id: string) => ({ id, revision: 1 });
        const build = circuit.elements.reduce<BuildDocument>(
          (doc, element) =>
            element.kind === 'pump' || (element.kind === 'line' && element.role !== 'suction')
              ? withValueAt(
                  doc,
                  ['fuelCircuits', 'main', 'elements', element.id, 'item'],
                  ref(element.kind === 'pump' ? drawn.pump : drawn.hose),
                )
              : doc,
          {
            ...laid,
            brief: {
              ...laid.brief,
              power: { value: drawn.kW * 1e3, unit: 'kW' },
              fuelTemperatureHot: { value: drawn.celsius + 273.15, unit: '°C' },
            },
            demand: { school: 'power', reason: 'any power' },
            fuels: withValueAt(laid.fuels, 'pump-fuel.ethanol', {
              value: drawn.ethanol,
              unit: '%',
            }),
            limits: { ...laid.limits, voltageLow: { value: drawn.volts, unit: 'V' } },
          },
        );
        const { design, fluids } = evaluator.check(build, sampleCatalogue);
        const fluid = fluids[0]!;
        for (const { point, solution } of Object.values(fluid.cases)) {
          expect(solution.state === 'failed' ? solution.reason : '', point.name).toBe('');
        }
        const swept = sweepMap(design, fluid.design);
        expect(swept.filter((p) => p.rows === undefined)).toEqual([]);
        expectWorst(fluid, swept);
      }),
      { numRuns: 40 },
    );
  });
});

describe('heat, prime and range', () => {
  test('follow by hand', () => {
    const { solution } = converged(lantern, 'cruise');
    const pump = solution.pumps['pump']!;
    const fuel = evaluated(lantern).fluids[0]!.design.fuel;
    const w = (0.1 * 794) / (0.1 * 794 + 0.9 * 745);
    const heat = 2200 + w * 240;
    const loss = 36;
    // The tank followed in steps of a second.
    const capacity = 0.25 * 0.078 * fuel.hot.density * heat;
    let rise = 0;
    for (let s = 0; s < 3600; s++) {
      const power = pump.voltage * pump.current + 150;
      const halfway = rise + (power - loss * rise) / capacity / 2;
      rise += (power - loss * halfway) / capacity;
    }
    expect(value(lantern, 'tank.heatingPerHour')).toBeCloseTo(rise, 6);
    expect(value(lantern, 'tank.temperatureAfterHour')).toBeCloseTo(273.15 + 38 + rise, 6);
    const massFlow = 24e3 * ((320e-3 / 3.6e6) * (43.4e6 / fuel.lowerHeatingValue));
    expect(value(lantern, 'consumption.flow')).toBeCloseTo(massFlow / fuel.density15, 15);
    expect(value(lantern, 'range.distance')).toBeCloseTo(
      (0.078 * 25) / (massFlow / fuel.density15),
      3,
    );
    expect(value(lantern, 'prime.time')).toBeLessThan(1);
  });

  test('a softer and longer line takes longer to prime', () => {
    const with_ = (item: string, metres: number): number =>
      value(
        withValueAt(
          withValueAt(lantern, 'fuelCircuits.main.elements.feed.item', { id: item, revision: 1 }),
          'fuelCircuits.main.elements.feed.length',
          { typed: { value: metres, unit: 'm' }, measured: null },
        ),
        'prime.time',
      );
    expect(with_('HBR-6', 9)).toBeGreaterThan(with_('HBR-6', 4));
    expect(with_('HBP-6', 4)).toBeLessThan(with_('HBR-6', 4));
  });

  test('E85 costs a quarter to a third of the range', () => {
    const fuels = finished(compareFuels(knownBuild(lantern)));
    const e85 = fuels.find((f) => f.label === 'E85')!;
    expect(e85.rangeRatio).toBeGreaterThan(0.65);
    expect(e85.rangeRatio).toBeLessThan(0.76);
    expect(fuels[0]!.present).toBe(true);
    expect(fuels.find((f) => f.label === 'M100')!.range).toBeLessThan(e85.range);
  });
});

describe('wire and flow', () => {
  test('thicker wire never takes flow away, and the present size gains nothing', () => {
    for (const { document } of demoBuilds) {
      const checked = createEvaluator().check(document, sampleCatalogue);
      for (const feed of checked.feeds) {
        const gains = thickerWire(checked, feed);
        expect(gains.filter((g) => g.present)).toHaveLength(1);
        expect(gains.find((g) => g.present)!.gain).toBeCloseTo(0, 12);
        gains.slice(1).forEach((gain, i) => expect(gain.gain).toBeGreaterThan(gains[i]!.gain));
      }
    }
  });

  test('what several pumps share before the stud counts for each', () => {
    const checked = createEvaluator().check(kittiwake, sampleCatalogue);
    const ids = checked.feeds.flatMap((f) => f.main.wires.map((w) => w.wire.id));
    expect(new Set(ids).size).toBe(2);
    const total = checked.feeds.reduce((sum, f) => sum + f.pumpGroup.wires[0]!.task.load, 0);
    const carried = checked.feeds[0]!.main.wires[0]!.task.load;
    expect(carried).toBeGreaterThan(total);
    // What goes into the stud goes out of it, to pumps and everything else.
    const out = checked.electrics.wires.filter(({ wire }) => wire.from.node === 'stud:stud');
    expect(out.length).toBeGreaterThan(checked.feeds.length);
    const onward = out.reduce((sum, { task }) => sum + (task.steadily ?? task.load), 0);
    expect(carried).toBeCloseTo(onward, 6);
  });
});

describe('Kittiwake', () => {
  const evaluation = evaluated(kittiwake);
  const checked = createEvaluator().check(kittiwake, sampleCatalogue);
  const rows = checked.design.circuits.flatMap((c) => c.rows);
  const primary = rows.find((r) => r.row.id === 'primary')!;
  const second = rows.find((r) => r.row.id === 'secondary')!;

  test('solves two fuels in two circuits, each with its own', () => {
    expect(evaluation.fluids.map((f) => f.design.fuel.fuel.id)).toEqual(['e85', 'methanol']);
    for (const fluid of evaluation.fluids) {
      for (const { solution } of Object.values(fluid.cases))
        expect(solution.state).toBe('converged');
    }
  });

  test('its rails stand at one pressure', () => {
    const { solution } = converged(kittiwake, 'peakPower');
    const [a, b] = railsOf(readBuild(kittiwake).fuelCircuits[0]!).map(
      (r) => solution.elements[r.id]!,
    );
    expect(a!.inletPressure).toBeCloseTo(b!.inletPressure, 4);
    expect(a!.massFlow).toBeCloseTo(b!.massFlow, 12);
  });

  test('the second row stays out at idle and is in at peak; the first gives up its air', () => {
    const { hotIdle, peakPower } = evaluation.fluids[0]!.cases;
    expect(rowMassFlow(second, hotIdle.point)).toBe(0);
    expect(rowMassFlow(primary, hotIdle.point)).toBeCloseTo(
      hotIdle.point.massFlow * primary.massShareAlone,
      12,
    );
    expect(stagedIn(second.staging!, peakPower.point)).toBe(1);
    expect(
      rowMassFlow(primary, peakPower.point) + rowMassFlow(second, peakPower.point),
    ).toBeCloseTo(peakPower.point.massFlow, 9);
  });

  test('joins where the first row alone would pass its duty', () => {
    const { peakPower } = evaluation.fluids[0]!.cases;
    const joins = value(kittiwake, 'staging.secondary.massFlow');
    const at = { ...peakPower.point, speed: kittiwake.brief.powerSpeed.value, massFlow: joins };
    expect(dutyAlone(second.staging!, at)).toBeCloseTo(0.55, 6);
    expect(rowMassFlow(second, { ...at, massFlow: 0.99 * joins })).toBe(0);
    expect(rowMassFlow(second, { ...at, massFlow: 1.05 * joins })).toBeGreaterThan(0);
  });

  test('one pump runs at cruise, both at peak', () => {
    const cruise = converged(kittiwake, 'cruise').solution;
    expect(cruise.pumps['pump-2']!.voltage).toBe(0);
    expect(cruise.elements['pump-2']!.massFlow).toBeLessThan(1e-6);
    expect(converged(kittiwake, 'peakPower').solution.elements['pump-2']!.massFlow).toBeGreaterThan(
      0.02,
    );
  });

  describe('with the first pump lost', () => {
    const told = (build: BuildDocument) => {
      const found = evaluated(build).findings.find((f) => f.id === 'pump.lost:main');
      const ladder = variantLadder(
        knownBuild(build),
        ladderVariants(readBuild(build)).find((v) => v.id === 'pump-lost:pump')!,
      );
      return { found: found!, ladder };
    };

    test('a second pump on demand leaves nothing to idle on: finding and ladder agree', () => {
      const { found, ladder } = told(kittiwake);
      expect(found.measured!.value).toBe(0);
      expect(found.title).toContain('does not run');
      expect(reachedRungs(ladder)[0]!.always).toBe(true);
    });

    test('a second pump that always runs carries as far as the ladder says', () => {
      const { found, ladder } = told(
        withValueAt(kittiwake, 'fuelCircuits.main.elements.pump-2.control', null),
      );
      const flowRung = (l: Ladder) => l.rungs.find((r) => r.label === 'Pump flow, E85 circuit')!;
      expect(flowRung(ladder).power! / found.measured!.value).toBeCloseTo(1, 2);
      expect(flowRung(ladder).power!).toBeLessThan(flowRung(limitLadder(checked)).power!);
    });
  });

  test('names every pump in the figures of its cases', () => {
    const keys = new Set(evaluation.results.map((r) => r.key));
    const pumps = readBuild(kittiwake).fuelCircuits.flatMap(pumpsOf);
    pumps.forEach((_, i) => expect(keys.has(`case.peakPower.pump.${i + 1}.flow`)).toBe(true));
    expect(keys.has('case.pumpLost.pump.1.margin')).toBe(true);
    expect(keys.has('case.peakPower.injector.secondary.duty')).toBe(true);
  });
});

describe('other ladders', () => {
  test('Lantern on E85 fails earlier than on E10', () => {
    const evaluator = createEvaluator();
    const variants = ladderVariants(readBuild(lantern));
    const e85 = variants.find((v) => v.id === 'fuel:E85')!;
    const first = (ladder: ReturnType<typeof limitLadder>): number =>
      ladder.rungs.find((r) => r.power !== null)!.power!;
    const there = variantLadder({ evaluator, document: lantern, catalogue: sampleCatalogue }, e85);
    expect(first(there)).toBeLessThan(
      first(limitLadder(evaluator.check(lantern, sampleCatalogue))),
    );
    expect(first(there)).toBeLessThan(168e3);
  });

  test('a lost staged row leaves the first with everything', () => {
    const variant = ladderVariants(readBuild(kittiwake)).find(
      (v) => v.id === 'row-lost:secondary',
    )!;
    const ladder = variantLadder(knownBuild(kittiwake), variant);
    const duty = (l: typeof ladder) =>
      l.rungs.find((r) => r.label === 'Injector duty, E85 circuit')!.power!;
    expect(duty(ladder)).toBeLessThan(
      duty(limitLadder(createEvaluator().check(kittiwake, sampleCatalogue))),
    );
  });
});
