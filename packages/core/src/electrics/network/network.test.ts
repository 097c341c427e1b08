import { describe, expect, test } from 'vitest';
import { applyCommand, evaluate } from '../../evaluation/index.ts';
import { demoBuilds, kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { settledLantern } from '../../tests/trippedElectrics.ts';
import { permissibleFor, temperatureAfter } from '../power/briefHeating.ts';
import { deviceStrip } from './deviceStrip.ts';
import { electricCases } from './electricCases.ts';
import type { ElectricDesign } from './electricStage.ts';
import { contactsOf } from '../power/wireContacts.ts';
import { temperatureError } from './sensorErrors.ts';

const designOf = (document: BuildDocument): ElectricDesign =>
  evaluate(document, sampleCatalogue).electrics;

const solvedOf = (design: ElectricDesign, inCase: (typeof electricCases)[number]) => {
  const solved = design.cases[inCase];
  if (solved.state === 'failed') throw new Error(solved.reason);
  return solved;
};

describe.each(demoBuilds.map(({ id, document }) => [id, designOf(document)] as const))(
  'the circuit of %s',
  (_id, design) => {
    test.each(electricCases)('obeys Ohm along every wire: %s', (inCase) => {
      const { volts, amps } = solvedOf(design, inCase);
      for (const sized of design.wires) {
        const { id, from, to } = sized.wire;
        const across = (volts.get(from.node) ?? 0) - (volts.get(to.node) ?? 0);
        const along = (amps.get(id) ?? 0) * (sized.resistance + contactsOf(sized));
        expect(Math.abs(across - along), id).toBeLessThan(1e-6);
      }
    });

    test.each(electricCases)('lets no current end at a splice or a stud: %s', (inCase) => {
      const { amps } = solvedOf(design, inCase);
      const joints = design.netlist.parts.filter(
        ({ sort }) => sort === 'splice' || sort === 'stud',
      );
      for (const { id, pins } of joints) {
        for (const { node } of pins) {
          const sum = design.wires.reduce((total, { wire }) => {
            const current = amps.get(wire.id) ?? 0;
            if (wire.from.node === node) return total - current;
            return wire.to.node === node ? total + current : total;
          }, 0);
          expect(Math.abs(sum), id).toBeLessThan(1e-6);
        }
      }
    });

    test('has no wire that carries less than its fuse, or more than it may, unless it is told', () => {
      for (const { size, task, ampacity, criteria } of design.wires) {
        const fails = criteria.filter(({ verdict }) => verdict === 'fails').map(({ name }) => name);
        if (!fails.includes('current')) expect(ampacity).toBeGreaterThanOrEqual(task.load);
        if (!fails.includes('fuse') && task.protection && task.forSeconds === undefined) {
          expect(ampacity).toBeGreaterThanOrEqual(task.protection.rating);
        }
        expect(size.area).toBeGreaterThan(0);
      }
    });

    test('gives every load less than the battery has, and loses the rest on the way', () => {
      for (const { supply, back, inCase, name } of design.voltages) {
        expect(supply - back, `${name} ${inCase}`).toBeLessThan(15);
        expect(supply - back, `${name} ${inCase}`).toBeGreaterThan(0);
      }
    });

    test('tells a way for every pin that is wired, whose volts fall along it', () => {
      for (const part of design.netlist.parts.filter(({ sort }) => sort === 'device')) {
        for (const { steps } of deviceStrip(design, part.id, 'worst')) {
          steps.slice(1).forEach((step, i) => {
            const before = steps[i]?.volts ?? 0;
            if (step.wire === undefined || step.volts === undefined) return;
            expect(Math.abs(Math.abs(step.volts - before) - step.wire.drop)).toBeLessThan(1e-6);
          });
        }
      }
    });
  },
);

describe('what a circuit tells', () => {
  const at = (document: BuildDocument, device: string, inCase: string): number | undefined =>
    evaluate(document, sampleCatalogue).results.find(
      ({ key }) => key === `voltage.${device}.${inCase}`,
    )?.value;

  test('a feed that is dead while cranking leaves nothing for what hangs on it', () => {
    const brown = ['vehicleSignals', 'ign-brown', 'crank'];
    const dead = withValueAt(lantern, brown, { value: 0, unit: 'V' });
    expect(at(lantern, 'tachometer', 'cranking')).toBeGreaterThan(9);
    expect(at(dead, 'tachometer', 'cranking')).toBeLessThan(0.1);
    expect(at(dead, 'tachometer', 'idle')).toBeCloseTo(at(lantern, 'tachometer', 'idle') ?? 0, 9);
  });

  test('the starter’s current lifts the block while cranking, and nothing else does as much', () => {
    const { cases } = designOf(lantern);
    const rise = (inCase: 'cranking' | 'worst'): number => {
      const solved = cases[inCase];
      if (solved.state === 'failed') throw new Error(solved.reason);
      return (solved.volts.get('engine-block:ground') ?? 0) - (solved.volts.get('battery:−') ?? 0);
    };
    expect(rise('cranking')).toBeGreaterThan(2 * rise('worst'));
    expect(rise('worst')).toBeGreaterThan(0);
  });

  test('a ground that is worse takes from every load on it', () => {
    const poor = withValueAt(lantern, ['grounds', 'front-frame', 'resistance'], {
      value: 0.02,
      unit: 'mΩ',
    });
    const lost = (at(lantern, 'fan-1', 'worst') ?? 0) - (at(poor, 'fan-1', 'worst') ?? 0);
    // Both radiator fans and the cooler's stand on it: 32 A, and 9 A where it runs.
    expect(lost).toBeGreaterThan(32 * (0.02 - 0.0005) * 0.9);
    expect(lost).toBeLessThan(45 * 0.02);
  });

  test('the cable of an alternator is sized for all that it gives', () => {
    const { wires, fuses } = designOf(lantern);
    const cable = wires.find(({ wire }) => wire.id === 'alternator~B+');
    expect(cable?.task.load).toBe(120);
    expect(fuses.find(({ partId }) => partId === 'fuse-alternator')?.load.running).toBe(120);
  });

  test('a fuse at the end of a wire no longer than 180 mm protects it, one further off does not', () => {
    const of = (document: BuildDocument): number | undefined =>
      designOf(document).wires.find(({ wire }) => wire.id === 'fuse-fan-1~in')?.task.protection
        ?.rating;
    const { document: far } = applyCommand(lantern, {
      name: 'set-wire-length',
      wireId: 'fuse-fan-1~in',
      wireName: 'The wire',
      length: { typed: { value: 0.19, unit: 'mm' }, measured: null },
    });
    expect(of(lantern)).toBeLessThanOrEqual(30);
    expect(of(far)).toBe(150);
  });

  test('pumps see what they share of the supply, and no load beside them changes that', () => {
    const without = withValueAt(settledLantern, ['devices', 'fan-1', 'state'], 'removed');
    const series = (document: BuildDocument): number =>
      designOf(document).feeds[0]!.seriesResistance;
    // Less load may ask for thinner cable: the sizes are settled first.
    const settled = (document: BuildDocument): BuildDocument =>
      ['battery-+~main-fuse', 'main-fuse~power-stud', 'battery~−'].reduce(
        (build, wireId) =>
          applyCommand(build, {
            name: 'choose-wire',
            wireId,
            wireName: 'The wire',
            size: { id: 'W25', revision: 1 },
          }).document,
        document,
      );
    const [one, other] = [series(settled(settledLantern)), series(settled(without))];
    // What is left is the warmth of the cable.
    expect(Math.abs(one - other)).toBeLessThan(0.01 * one);
  });
});

describe('a cable that is loaded for a start', () => {
  test('gets as warm as copper that keeps its heat', () => {
    // 35 mm² at 200 A for 30 s: ΔT by c·ρ = 3.45 MJ/m³K and ρ at the mean temperature, within 2 %.
    const kelvin = temperatureAfter({ area: 35e-6, ambient: 293.15, current: 200, seconds: 30 });
    const resistivity = 1.7241e-8 * (1 + 0.00393 * ((kelvin - 293.15) / 2));
    const rise = ((200 / 35e-6) ** 2 * resistivity * 30) / 3.45e6;
    expect(kelvin - 293.15).toBeCloseTo(rise, 0);
    expect(Math.abs((kelvin - 293.15) / rise - 1)).toBeLessThan(0.05);
  });

  test('may carry what brings it to its limit, and no more', () => {
    for (const seconds of [5, 30, 60]) {
      const current = permissibleFor({ area: 16e-6, ambient: 330, limit: 388, seconds });
      expect(temperatureAfter({ area: 16e-6, ambient: 330, current, seconds })).toBeCloseTo(388, 9);
    }
    expect(permissibleFor({ area: 16e-6, ambient: 390, limit: 388, seconds: 30 })).toBe(0);
  });
});

describe('what a ground does to a temperature', () => {
  const error = (rise: number): number =>
    temperatureError.compute({ rise, resistanceAt25: 2200, beta: 3500, pullUp: 2200 } as never);

  test('is nothing without a rise, and reads colder the higher it stands', () => {
    expect(error(0)).toBeCloseTo(0, 9);
    expect(error(0.01)).toBeLessThan(0);
    expect(error(0.05)).toBeLessThan(error(0.01));
    expect(error(-0.01)).toBeGreaterThan(0);
  });
});

describe('a bus', () => {
  const bus = (document: BuildDocument) => designOf(document).buses[0]!;

  test('is one chain with everything that is on it, its terminators at its two ends', () => {
    const { members, terminators, terminated, ends } = bus(kittiwake);
    expect(designOf(kittiwake).buses).toHaveLength(1);
    expect(terminated).toBe(true);
    expect(terminators.map(({ partId }) => partId).sort()).toEqual([...ends].sort());
    expect(members.map(({ partId }) => partId)).toEqual(
      expect.arrayContaining(['ecu', 'sluice', 'inputs', 'dash', 'keypad', 'lambda-right']),
    );
    for (const { stub } of members) expect(stub).toBeLessThan(0.3);
  });

  describe('with a way of 450 mm beside it', () => {
    const { wire } = designOf(kittiwake).wires.find(
      (each) => each.wire.role === 'bus' && each.wire.partId === 'diagnostic-socket',
    )!;
    const long = applyCommand(kittiwake, {
      name: 'set-wire-length',
      wireId: wire.id,
      wireName: 'The wire',
      length: { typed: { value: 0.45, unit: 'mm' }, measured: null },
    }).document;
    const rateAs = (document: BuildDocument, rate: string) =>
      withValueAt(document, 'buses.bus-1.rate', rate);
    const told = (document: BuildDocument) =>
      evaluate(document, sampleCatalogue).findings.filter(({ rule }) => rule === 'can.stub');

    test.each([
      ['1 Mbit/s', 0.3, 1],
      ['500 kbit/s', 0.6, 0],
      ['250 kbit/s', 1.2, 0],
    ])('at %s %d m are the most', (rate, limit, count) => {
      const document = rateAs(long, rate);
      expect(bus(document)).toMatchObject({ rate, longestStub: limit, busId: 'bus-1' });
      expect(told(document)).toHaveLength(count);
    });

    test.each([
      ['that the build names', long],
      ['of which it says nothing', { ...long, buses: {} }],
    ])('a slower rate of a bus %s is a way out', (_what, document) => {
      const cure = told(document)[0]!
        .cures()
        .find(({ command }) => command)!;
      expect(cure.text).toContain('500 kbit/s');
      const slower = applyCommand(document, cure.command!).document;
      expect(told(slower)).toEqual([]);
      expect(bus(slower).rate).toBe('500 kbit/s');
    });
  });

  test('reads 60 Ω with two terminators wherever they sit, and is wrong with both at one end', () => {
    const moved = ['1', '2'].reduce(
      (document, pin) =>
        withValueAt(document, ['devices', 'terminator-nose', 'connections', pin], {
          to: 'controller',
          controllerId: 'ecu',
          pin: pin === '1' ? 'B09' : 'B10',
          locked: false,
        }),
      withValueAt(kittiwake, ['devices', 'terminator-nose', 'placementId'], 'ecu'),
    );
    const across = (document: BuildDocument): number | undefined =>
      evaluate(document, sampleCatalogue).results.find(({ key }) =>
        /^can\..*termination$/.test(key),
      )?.value;
    expect(across(kittiwake)).toBeCloseTo(60, 9);
    expect(across(moved)).toBeCloseTo(60, 9);
    expect(bus(moved).terminated).toBe(false);
    const { findings } = evaluate(moved, sampleCatalogue);
    expect(findings.map(({ rule }) => rule)).toContain('can.termination');
  });
});
