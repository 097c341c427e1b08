import { describe, expect, test } from 'vitest';
import { asCut } from '../tests/asCut.ts';
import { type BuildDocument, withValueAt } from '../model/index.ts';
import { applyCommand } from './commands/applyCommand.ts';
import { kittiwake, lantern, sampleCatalogue, sandpiper } from '../exchange/index.ts';
import { laidOutAs } from '../tests/trippedSystems.ts';
import { createEvaluator, evaluate } from './evaluate.ts';
import { documentedFigures, figuresDocument, figuresOf } from './figures/documentedFigures.ts';
import { limitLadder } from './ladder.ts';
import { ripple } from './ripple.ts';

/** E85 as it is sold in summer: its own vapour pressure is lower. */
const e85: BuildDocument = withValueAt(
  withValueAt(lantern, 'fuels.pump-fuel.ethanol', { value: 0.85, unit: '%' }),
  'fuels.pump-fuel.reidVapourPressure',
  { value: 45e3, unit: 'kPa' },
);
const evaluator = createEvaluator();
const isElectric = (stage: string): boolean => stage === 'devices' || stage === 'pins';

const look = (document: BuildDocument) => {
  const evaluation = evaluator.evaluate(document, sampleCatalogue);
  return {
    evaluation,
    ladder: limitLadder(evaluator.check(document, sampleCatalogue)),
    figures: new Map(evaluation.results.map((r) => [r.key, r.value])),
    ids: evaluation.findings.map((f) => f.id),
    // What the fuel is stopped by: that some signals find no pin is told apart.
    stops: evaluation.findings
      .filter(({ severity, where }) => severity === 'stop' && !isElectric(where.stage))
      .map((f) => f.id),
  };
};

describe('Lantern on E10', () => {
  const { ladder, figures, stops, evaluation } = look(lantern);

  test('holds its target without a stop', () => {
    expect(stops).toEqual([]);
    for (const rung of ladder.rungs) {
      if (rung.power !== null) expect(rung.power).toBeGreaterThan(168e3);
    }
  });

  test('tells what its electrics are stopped by, by the id of each finding', () => {
    const ids = evaluation.findings
      .filter(({ severity, where }) => severity === 'stop' && isElectric(where.stage))
      .map(({ id }) => id);
    expect(ids.sort()).toEqual([
      'pin.three-wire-valve:idle-valve',
      'pin.too-few:ecu/high-side',
      'signal.dead-in-crank:ign-black',
    ]);
  });

  test('has known margins', () => {
    expect(figures.get('injector.peak.duty')).toBeGreaterThan(0.6);
    expect(figures.get('injector.peak.duty')).toBeLessThan(0.75);
    expect(figures.get('pump.peak.margin')).toBeGreaterThan(0.2);
    expect(figures.get('pump.peak.margin')).toBeLessThan(1);
    expect(Math.abs(figures.get('injector.peak.sag')!)).toBeLessThan(0.03);
  });

  test('every named case is solved', () => {
    for (const fluid of evaluation.fluids) {
      for (const { point, solution } of Object.values(fluid.cases)) {
        expect(solution.state, point.name).toBe('converged');
      }
    }
  });

  test('the rail gauge reads lower at idle and climbs with boost', () => {
    const gauge = (name: string) => figures.get(`gauge.${name}.pressure`)!;
    expect(gauge('hotIdle')).toBeLessThan(gauge('keyOnPrime'));
    expect(gauge('keyOnPrime')).toBeLessThan(gauge('peakTorque'));
    // Set pressure plus manifold pressure, within the slope of the regulator.
    expect(gauge('peakTorque') - 385e3).toBeGreaterThan(0);
    expect(gauge('peakTorque') - 385e3).toBeLessThan(12e3);
  });

  test('the pump gets the battery’s voltage less its own wiring', () => {
    const drop = figures.get('pump.peak.current')! * figures.get('wire.pumpFeed.seriesResistance')!;
    expect(figures.get('pump.peak.voltage')).toBeCloseTo(12.2 - drop, 9);
  });

  test('keeping the narrow outlet costs inlet pressure', () => {
    const kept = look(
      applyCommand(lantern, {
        name: 'decide',
        optionId: 'tank-outlet',
        alternativeId: 'existing',
        assemblies: {},
      }).document,
    );
    const key = 'suction.peak.pump.inletHead';
    expect(kept.figures.get(key)).toBeLessThan(figures.get(key)! - 500);
  });

  test('deciding and deciding back changes nothing', () => {
    const there = applyCommand(lantern, {
      name: 'decide',
      optionId: 'tank-outlet',
      alternativeId: 'existing',
      assemblies: {},
    }).document;
    const back = applyCommand(there, {
      name: 'decide',
      optionId: 'tank-outlet',
      alternativeId: 'new',
      assemblies: {},
    }).document;
    expect(back.fuelCircuits).toEqual(lantern.fuelCircuits);
    expect(back.options['tank-outlet']!.chosen).toBe('new');
  });
});

describe('Lantern on E85', () => {
  const { ladder, stops, ids } = look(e85);

  test('gives out at the injectors, below the target', () => {
    expect(ladder.rungs[0]!.check).toBe('injector-duty');
    expect(ladder.rungs[0]!.power).toBeLessThan(168e3);
    expect(stops).toContain('injector.duty:primary');
  });

  test('stops at media and hoses that are not rated for it', () => {
    expect(stops).toContain('filter.media:fine');
    expect(stops).toContain('hose.fuel:feed');
  });

  test('the ripple names the injectors first among new stops', () => {
    const entries = ripple(evaluate(lantern, sampleCatalogue), evaluate(e85, sampleCatalogue));
    expect(entries[0]).toMatchObject({ type: 'finding', after: 'stop' });
    expect(entries.flatMap((e) => (e.type === 'finding' ? [e.id] : []))).toContain(
      'injector.duty:primary',
    );
    expect(entries.flatMap((e) => (e.type === 'figure' ? [e.key] : []))).toContain(
      'pump.peak.margin',
    );
  });

  test('applying one cure after another leaves no stop', () => {
    let document = e85;
    for (let k = 0; k < 20; k++) {
      const { findings } = evaluator.evaluate(document, sampleCatalogue);
      const stop = findings.find((f) => f.severity === 'stop');
      if (!stop) break;
      const cure = stop.cures().find((c) => c.command);
      expect(cure, stop.id).toBeDefined();
      document = applyCommand(document, cure!.command!).document;
    }
    const cured = look(document);
    expect(cured.stops).toEqual([]);
    expect(cured.ladder.rungs[0]!.power).toBeGreaterThan(168e3);
  });

  test('warns of what is not a stop yet, and notes what is to be known', () => {
    const { findings } = evaluate(e85, sampleCatalogue);
    const of = (severity: 'warn' | 'note') =>
      findings.filter((f) => f.severity === severity).map((f) => f.rule);
    expect(of('note')).toContain('fuel.cold-start');
    for (const finding of findings.filter((f) => f.severity === 'warn')) {
      expect(stops).not.toContain(finding.id);
      expect(ids).toContain(finding.id);
    }
    const told = findings.filter(
      ({ severity, where }) => severity !== 'stop' || !isElectric(where.stage),
    );
    expect(stops.length + of('warn').length + of('note').length).toBe(told.length);
  });
});

describe('ripple', () => {
  test('is quiet when nothing of note changed', () => {
    const before = evaluate(lantern, sampleCatalogue);
    const after = evaluate({ ...lantern, description: 'other words' }, sampleCatalogue);
    expect(ripple(before, after)).toEqual([]);
  });

  test('tells what is gone after what got worse', () => {
    const entries = ripple(evaluate(e85, sampleCatalogue), evaluate(lantern, sampleCatalogue));
    const findings = entries.filter((e) => e.type === 'finding');
    expect(findings.every((e) => e.after === null || e.after !== 'stop')).toBe(true);
    // What got better comes last, behind every figure.
    const gone = entries.findIndex((e) => e.type === 'finding' && e.after === null);
    const lastFigure = entries.map((e) => e.type).lastIndexOf('figure');
    expect(gone).toBeGreaterThan(lastFigure);
  });
});

describe('limit ladder', () => {
  const { ladder } = look(lantern);
  const nominal = (share: number): BuildDocument => {
    const { brief } = lantern;
    const ambient = 101325 * (1 - (0.0065 * 900) / 288.15) ** 5.255876;
    return {
      ...lantern,
      brief: {
        ...brief,
        power: { ...brief.power, value: brief.power.value * share },
        boost: { ...brief.boost, value: (brief.boost.value + ambient) * share - ambient },
      },
    };
  };

  test('is sorted, and rungs that never fail have no power', () => {
    const powers = ladder.rungs.map((r) => r.power ?? Infinity);
    expect([...powers].sort((a, b) => a - b)).toEqual(powers);
    expect(ladder.rungs.some((r) => r.power === null)).toBe(true);
  });

  test('raising the target itself to a rung meets the same limit there', () => {
    const rung = ladder.rungs.find((r) => r.check === 'pump-flow')!;
    const share = rung.power! / 168e3;
    // At the same consumption the power school scales as the ladder does.
    const at = (factor: number) =>
      look(
        applyCommand(nominal(share * factor), {
          name: 'pick-demand',
          school: 'power',
          reason: 'ladder',
        }).document,
      ).figures.get('pump.peak.margin')!;
    expect(at(0.985)).toBeGreaterThan(0);
    expect(at(1.015)).toBeLessThan(0);
  });

  test('a larger injector raises its own rung', () => {
    const larger = look(
      applyCommand(lantern, {
        name: 'choose-injector',
        rowId: 'primary',
        item: { id: 'I850', revision: 1 },
      }).document,
    ).ladder;
    const power = (l: typeof ladder, check: string) =>
      l.rungs.find((r) => r.check === check)!.power ?? Infinity;
    expect(power(larger, 'injector-duty')).toBeGreaterThan(power(ladder, 'injector-duty'));
  });

  test('a check that does not depend on power says always', () => {
    const pinched = withValueAt(
      withValueAt(lantern, 'fuelCircuits.main.elements.return.item', { id: 'HBR-4', revision: 1 }),
      'fuelCircuits.main.elements.return.length',
      { typed: { value: 40, unit: 'm' }, measured: null },
    );
    const rung = look(pinched).ladder.rungs[0]!;
    expect(rung).toMatchObject({ check: 'return', always: true, power: 0 });
  });

  test('without boost only the flow scales', () => {
    const natural = withValueAt(
      withValueAt(lantern, 'brief.aspiration', 'natural'),
      'brief.boost',
      { value: 0, unit: 'bar' },
    );
    expect(look(natural).ladder.rungs[0]!.power).not.toBeNull();
  });
});

describe('figures', () => {
  const { evaluation, ladder } = look(lantern);
  const figures = figuresOf(evaluation, ladder);

  test('every documented key is there with its SI unit', () => {
    const with_ = (build: BuildDocument) => {
      const there = look(build);
      return figuresOf(there.evaluation, there.ladder);
    };
    const others = {
      'a surge tank': with_(laidOutAs('surge-tank')),
      'a staged row': with_(kittiwake),
      'a seasonal fuel': with_(kittiwake),
      'a way on the map': with_(lantern),
      'a solid thing on the map': with_(lantern),
      'a hot pipe on the map': with_(lantern),
      'a part on the map': with_(lantern),
      'a part that is fastened': with_(lantern),
      'measured seats': with_(lantern),
      'lines with their ends': with_(lantern),
      'a hose that is cut': with_(
        withValueAt(lantern, 'assemblies.feed.asMade', asCut('feed', 3370)),
      ),
      'a tank on the map': with_(lantern),
      'a harness that is led': with_(sandpiper),
      'a splice that has its place': with_(sandpiper),
      'a bundle through a hole': with_(lantern),
      'a device on the list': with_(lantern),
    };
    for (const { key, onlyWith } of documentedFigures) {
      const where = onlyWith ? others[onlyWith] : figures;
      expect(where[key], key).toBeDefined();
      expect(where[key]!.unit).not.toMatch(/kPa|mm|rpm|°C|L\/h/);
    }
  });

  test('keys promised from the start are documented', () => {
    const promised = [
      'demand.peak.massFlow',
      'demand.design.massFlow',
      'demand.byPower.peak.massFlow',
      'demand.byAir.peak.massFlow',
      'fuel.density',
      'fuel.stoichAirFuelRatio',
      'fuel.vapourPressureAbsolute',
      'injector.peak.duty',
      'injector.idle.pulse',
      'pump.peak.voltage',
      'pump.peak.current',
      'pump.peak.flowAvailable',
      'pump.peak.margin',
      'rail.peak.pressure',
      'circuit.feed.pressureDrop',
      'circuit.feed.reynolds',
      'wire.pumpFeed.area',
      'wire.pumpFeed.drop',
      'fuse.pumpFeed.rating',
      'ladder.first.check',
      'ladder.first.power',
    ];
    const documented = documentedFigures.map((f) => f.key);
    for (const key of promised) expect(documented).toContain(key);
  });

  test('the document lists each key once', () => {
    const text = figuresDocument();
    for (const { key } of documentedFigures) {
      expect(text.split(`\`${key}\``).length - 1, key).toBe(1);
    }
  });
});
