import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type WireItem, lookUp, newestOf } from '../../catalogue/index.ts';
import { sampleCatalogue } from '../../exchange/index.ts';
import {
  type WireTask,
  insulationWithstand,
  mechanicalMinimum,
  wireCriteria,
} from './wireCriteria.ts';
import { awgArea, awgResistance, metricSizes } from './conductor.ts';
import { bladeBand, deratedRating, inrushDamage, letThrough, openingTime } from './fuseCurve.ts';
import {
  bundleFactor,
  conductorTemperature,
  heatGivenOff,
  permissibleCurrent,
  resistanceAt,
} from './heatBalance.ts';
import { chooseFuse, judgeFuse } from './chooseFuse.ts';
import { type WireJob, sizeGroup } from './sizeWires.ts';
import { zoneTemperature } from './zoneTemperature.ts';

const fuse = (rating: number) =>
  newestOf(sampleCatalogue, 'fuse').find((f) => f.style === 'blade' && f.rating === rating)!;
const wire = (id: string): WireItem => lookUp(sampleCatalogue, 'wire', { id, revision: 1 }, 'test');
const blades = newestOf(sampleCatalogue, 'fuse').filter((f) => f.style === 'blade');
const sizes = newestOf(sampleCatalogue, 'wire').filter((w) => w.system === 'metric');

describe('copper', () => {
  test.each([
    [18, 20.95],
    [12, 5.211],
    [2, 0.513],
  ])('%d AWG solid is %d mΩ/m at 20 °C', (gauge, milliohm) => {
    expect(awgResistance(gauge, 'solid') * 1e3).toBeCloseTo(milliohm, 2);
  });
  test('stranding adds 2 %', () => {
    expect(awgResistance(14, 'stranded') / awgResistance(14, 'solid')).toBeCloseTo(1.02, 12);
  });
  test('six gauges down doubles the diameter, near enough', () => {
    expect(awgArea(12) / awgArea(18)).toBeCloseTo(92 ** (12 / 39), 9);
  });
  test('a hotter conductor resists more', () => {
    expect(resistanceAt(1e-3, 293.15)).toBe(1e-3);
    expect(resistanceAt(1e-3, 393.15)).toBeCloseTo(1.393e-3, 12);
  });
  test('tabulated resistances fall as area grows', () => {
    metricSizes.slice(1).forEach((s, i) => {
      expect(s.milliohmPerMetre).toBeLessThan(metricSizes[i]!.milliohmPerMetre);
      expect(s.diameter).toBeGreaterThan(metricSizes[i]!.diameter);
    });
  });
});

describe('heat balance', () => {
  test('nothing is given off without a difference', () => {
    expect(heatGivenOff(3e-3, 320, 320)).toBe(0);
    expect(heatGivenOff(3e-3, 300, 320)).toBe(0);
  });

  test('radiation alone is a floor, and convection adds a plausible film', () => {
    const d = 3e-3;
    const radiation = 0.9 * 5.670374419e-8 * Math.PI * d * (380 ** 4 - 320 ** 4);
    const total = heatGivenOff(d, 380, 320);
    expect(total).toBeGreaterThan(radiation);
    const film = (total - radiation) / (Math.PI * d * 60);
    // Still air around a thin wire: some 10 to 30 W/m²K.
    expect(film).toBeGreaterThan(8);
    expect(film).toBeLessThan(35);
  });

  test('the temperature found balances heat made and heat given off', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...sizes),
        fc.double({ min: 0.1, max: 25, noNaN: true }),
        fc.integer({ min: 1, max: 12 }),
        (size, current, loadedTogether) => {
          const heated = {
            outsideDiameter: size.outsideDiameter,
            resistancePerMetre: size.resistancePerMetre,
            ambient: 313.15,
            loadedTogether,
          };
          const t = conductorTemperature(heated, current);
          if (t > 1500) return;
          const made = current ** 2 * resistanceAt(size.resistancePerMetre, t);
          const given =
            bundleFactor(loadedTogether) ** 2 * heatGivenOff(size.outsideDiameter, t, 313.15);
          expect(Math.abs(made - given)).toBeLessThan(1e-6 * Math.max(made, 1e-3));
        },
      ),
      { numRuns: 80 },
    );
  });

  test('permissible current brings the conductor to its limit', () => {
    const heated = {
      outsideDiameter: 3e-3,
      resistancePerMetre: 7.6e-3,
      ambient: 313.15,
      loadedTogether: 3,
    };
    const current = permissibleCurrent(heated, 388.15);
    expect(conductorTemperature(heated, current)).toBeCloseTo(388.15, 6);
    expect(permissibleCurrent(heated, 313.15)).toBe(0);
  });

  test.each([
    [1, 1],
    [2, 0.8],
    [3, 0.75],
    [5, 0.6],
    [9, 0.5],
    [15, 0.4],
    [33, 0.3],
  ])('%d loaded together: factor %d', (count, factor) => {
    expect(bundleFactor(count)).toBe(factor);
  });

  test('zones have their temperatures, never below a hotter day', () => {
    expect(zoneTemperature('engine-bay', 311)).toBeCloseTo(358.15, 9);
    expect(zoneTemperature('cabin', 311)).toBeCloseTo(333.15, 9);
    expect(zoneTemperature('cabin', 340)).toBe(340);
    expect(zoneTemperature('outside', 311)).toBe(311);
  });
});

describe('fuse curve', () => {
  test.each([
    [1.35, 0.75, 600],
    [1.6, 0.25, 50],
    [2, 0.15, 5],
    [3.5, 0.04, 0.5],
    [6, 0.02, 0.1],
  ])('at %d times the rating opens in %d to %d s', (multiple, fast, slow) => {
    expect(openingTime(bladeBand, 'fastest', multiple)).toBeCloseTo(fast, 12);
    expect(openingTime(bladeBand, 'slowest', multiple)).toBeCloseTo(slow, 12);
  });

  test('never opens below 110 %', () => {
    expect(openingTime(bladeBand, 'fastest', 1.05)).toBe(Infinity);
  });

  test('may never open below 135 %, though it may open from 110 % on', () => {
    for (const multiple of [1.1, 1.2, 1.349]) {
      expect(openingTime(bladeBand, 'slowest', multiple)).toBe(Infinity);
      expect(openingTime(bladeBand, 'fastest', multiple)).toBeLessThanOrEqual(360000);
    }
    // Over it is as the band says, to its last second.
    expect(openingTime(bladeBand, 'slowest', 1.35)).toBeCloseTo(600, 9);
    expect(letThrough(fuse(10), 13)).toBe(Infinity);
    expect(letThrough(fuse(10), 14)).toBeLessThan(600 * 14 ** 2);
  });

  test('is straight in logarithms between points', () => {
    const middle = Math.sqrt(2 * 3.5);
    expect(openingTime(bladeBand, 'slowest', middle)).toBeCloseTo(Math.sqrt(5 * 0.5), 9);
  });

  test('keeps I²t above 600 %', () => {
    const f = fuse(20);
    expect(letThrough(f, 200)).toBeCloseTo(letThrough(f, 2000), 6);
    expect(letThrough(f, 121)).toBeCloseTo(0.1 * 120 ** 2, 6);
  });

  test('the fast edge is never behind the slow one', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.1, max: 40, noNaN: true }), (m) => {
        expect(openingTime(bladeBand, 'fastest', m)).toBeLessThanOrEqual(
          openingTime(bladeBand, 'slowest', m),
        );
      }),
    );
  });

  test('loses 0.15 % of its rating for each degree above 25', () => {
    expect(deratedRating(20, 298.15)).toBe(20);
    expect(deratedRating(20, 318.15)).toBeCloseTo(19.4, 12);
  });
});

describe('choosing a fuse', () => {
  const load = { running: 12, inrushFactor: 4, inrushTime: 0.05, ambient: 313.15 };

  test('takes the smallest that carries 1.25 times the load when hot', () => {
    const { fuse: chosen } = chooseFuse(blades, load);
    expect(chosen.rating).toBe(20);
    expect(judgeFuse(fuse(15), load).carriesLoad).toBe(false);
  });

  test('inrush uses up more of a smaller fuse', () => {
    const damage = (rating: number) =>
      inrushDamage({ fuse: fuse(rating), running: 12, factor: 4, time: 0.05 });
    expect(damage(15)).toBeGreaterThan(damage(20));
    expect(damage(20)).toBeLessThan(1);
    expect(damage(10)).toBe(1);
  });

  test('inrush without a peak is harmless', () => {
    expect(inrushDamage({ fuse: fuse(20), running: 12, factor: 1, time: 0.05 })).toBe(0);
  });

  test('falls back to the largest when none carries the load', () => {
    expect(chooseFuse(blades, { ...load, running: 90 }).fuse.rating).toBe(40);
  });
});

const task: WireTask = {
  load: 12,
  protection: fuse(20),
  length: 4,
  ambient: 313.15,
  zones: ['body'],
  loadedTogether: 1,
  areaMin: 0.3e-6,
  areaMax: 6e-6,
  sourceVoltage: 12.6,
  sourceResistance: 10e-3,
};

describe('the criteria of a wire', () => {
  const verdicts = (size: string, change: Partial<WireTask> = {}) =>
    Object.fromEntries(
      wireCriteria(wire(size), { ...task, ...change }).map((c) => [c.name, c.verdict]),
    );

  test('a fair size passes', () => {
    expect(new Set(Object.values(verdicts('W2_5')))).toEqual(new Set(['passes']));
  });
  test('must carry its load, and the fuse before it besides', () => {
    expect(verdicts('W0_35', { load: 30 }).current).toBe('fails');
    expect(verdicts('W0_35', { load: 1 })).toMatchObject({ current: 'passes', fuse: 'fails' });
    const small = verdicts('W0_35', { load: 1, protection: fuse(3) });
    expect(small).toMatchObject({ current: 'passes', fuse: 'passes' });
  });
  test('a class whose limit is at ambient carries nothing', () => {
    const [current] = wireCriteria(wire('W6'), { ...task, ambient: 390 });
    expect(current!.measured).toBe(0);
    expect(current!.verdict).toBe('fails');
  });
  test('mechanical minimum follows the harsher end and the system', () => {
    expect(
      verdicts('W0_5', { zones: ['body', 'outside'], protection: fuse(3), load: 1 })[
        'mechanical minimum'
      ],
    ).toBe('fails');
    expect(mechanicalMinimum('engine-bay', 'metric')).toBeCloseTo(0.5e-6, 12);
    expect(mechanicalMinimum('outside', 'awg')).toBeCloseTo(awgArea(18), 12);
  });
  test.each([
    ['engine-bay', undefined, 0.5e-6],
    ['engine-bay', 'sleeved', 0.35e-6],
    ['near-exhaust', 'sleeved', 0.35e-6],
    ['outside', 'sleeved', 0.75e-6],
    ['outside', 'sealed', 0.35e-6],
    ['cabin', undefined, 0.35e-6],
  ] as const)('mechanical minimum: %s, %s', (zone, shelter, area) => {
    expect(mechanicalMinimum(zone, 'metric', shelter)).toBeCloseTo(area, 12);
    const criteria = wireCriteria(wire('W0_5'), {
      ...task,
      zones: [zone],
      ...(shelter ? { shelter } : {}),
    });
    const { limit, within } = criteria.find(({ name }) => name === 'mechanical minimum')!;
    expect(limit).toBeCloseTo(area, 12);
    // What it was judged as is told; no other criterion rests on it.
    expect(within).toBe(shelter ?? 'nothing');
    expect(criteria.filter((each) => each.within !== undefined)).toHaveLength(1);
  });
  test('short circuit: insulation must outlast the slow edge, near and far', () => {
    expect(verdicts('W2_5')['short circuit']).toBe('passes');
    const weak = { ...task, sourceVoltage: 12.6, sourceResistance: 0.6 };
    // 21 A through a 20 A fuse never opens it.
    expect(wireCriteria(wire('W0_5'), weak).find((c) => c.name === 'short circuit')!.verdict).toBe(
      'fails',
    );
  });
  test('without a curve the short circuit cannot be judged', () => {
    const noCurve = { ...task, protection: { ...fuse(20), band: [] } };
    expect(
      wireCriteria(wire('W2_5'), noCurve).find((c) => c.name === 'short circuit')!.verdict,
    ).toBe('cannot judge');
  });
  test('terminals refuse what is too thick or too thin', () => {
    expect(verdicts('W10')['terminal fit']).toBe('fails');
    expect(verdicts('W1', { areaMin: 2.5e-6 })['terminal fit']).toBe('fails');
  });
  test('withstand follows k²A² of copper', () => {
    // k = 226 √ln((250 + 234.5) / (40 + 234.5)) for cross-linked insulation from 40 °C.
    const k = 226 * Math.sqrt(Math.log(484.5 / 274.5));
    expect(insulationWithstand(wire('W2_5'), 313.15)).toBeCloseTo((k * 2.5) ** 2, 3);
  });
});

describe('sizing a run', () => {
  const derived = (id: string) => ({ id, name: id }) as never;
  const job = (id: string, length: number, override: WireItem | null = null): WireJob => ({
    wire: derived(id),
    task: { ...task, length },
    origins: {
      load: { value: task.load, from: 'default' },
      hottestPlaceId: 'here',
      bundledAt: [],
    },
    override,
  });

  const sized = (input: Omit<Parameters<typeof sizeGroup>[0], 'showLarger'>) =>
    sizeGroup({ ...input, showLarger: true });

  test('takes the smallest size that passes all six out and back', () => {
    const group = sized({ jobs: [job('out', 4), job('back', 0.5)], sizes, dropLimit: 0.25 });
    const chosen = group.wires[0]!.size;
    expect(group.drop).toBeLessThanOrEqual(0.25);
    for (const candidate of group.candidates) {
      if (candidate.size.area < chosen.area) expect(candidate.fails).not.toEqual([]);
    }
    expect(group.candidates.find((c) => c.size === chosen)!.fails).toEqual([]);
  });

  test('names what the next smaller size fails, and nothing where a person chose', () => {
    const far = sized({ jobs: [job('out', 4), job('back', 0.5)], sizes, dropLimit: 0.25 });
    const at = far.candidates.findIndex(({ size }) => size === far.wires[0]!.size);
    expect(far.decidedBy.length).toBeGreaterThan(0);
    expect(far.decidedBy).toEqual(far.candidates[at - 1]!.fails);
    const close = sized({ jobs: [job('out', 0.1)], sizes, dropLimit: 5 });
    expect(close.decidedBy).not.toContain('voltage drop');
    expect(sized({ jobs: [job('o', 1, wire('W4'))], sizes, dropLimit: 1 }).decidedBy).toEqual([]);
  });

  test('says where no size of the catalogue passes, and where one does', () => {
    const far = job('out', 4);
    const within = sized({ jobs: [far], sizes, dropLimit: 0.25 });
    expect(within.noSizePasses).toBe(false);
    // Copper of the thickest at 20 °C drops more than this already.
    const thickest = sizes.at(-1)!;
    const least = thickest.resistancePerMetre * far.task.length * far.task.load;
    expect(sized({ jobs: [far], sizes, dropLimit: 0.99 * least }).noSizePasses).toBe(true);
  });

  test('no wire that passes outlives its fuse, at any current that can flow', () => {
    let passed = 0;
    fc.assert(
      fc.property(
        fc.record({
          running: fc.double({ min: 0.1, max: 28, noNaN: true }),
          length: fc.double({ min: 0.1, max: 9, noNaN: true }),
          ambient: fc.constantFrom(313.15, 333.15, 358.15),
          loadedTogether: fc.constantFrom(1, 2, 3, 6),
          sourceResistance: fc.double({ min: 4e-3, max: 60e-3, noNaN: true }),
        }),
        ({ running, ...more }) => {
          const { fuse: by } = chooseFuse(blades, {
            running,
            inrushFactor: 3,
            inrushTime: 0.05,
            ambient: more.ambient,
          });
          const own: WireTask = { ...task, ...more, load: running, protection: by };
          const group = sized({
            jobs: [{ ...job('out', more.length), task: own }],
            sizes,
            dropLimit: 0.4,
          });
          const { size, temperature, resistance, criteria, ampacity } = group.wires[0]!;
          if (criteria.some(({ verdict }) => verdict !== 'passes')) return;
          passed += 1;
          expect(ampacity).toBeGreaterThanOrEqual(by.rating);
          const withstand = insulationWithstand(size, temperature);
          const [near, far] = [0, resistance].map((r) => 12.6 / (more.sourceResistance + r));
          for (let i = 0; i <= 20; i++) {
            const current = far! * (near! / far!) ** (i / 20);
            expect(letThrough(by, current)).toBeLessThanOrEqual(withstand);
          }
        },
      ),
      { numRuns: 500, seed: 6 },
    );
    expect(passed).toBeGreaterThan(300);
  });

  test('a longer run never takes a thinner wire', () => {
    const area = (length: number) =>
      sized({ jobs: [job('out', length)], sizes, dropLimit: 0.25 }).wires[0]!.size.area;
    expect(area(6)).toBeGreaterThanOrEqual(area(3));
    expect(area(3)).toBeGreaterThanOrEqual(area(0.5));
  });

  test('an override is kept and judged', () => {
    const group = sized({
      jobs: [job('out', 4, wire('W1')), job('back', 0.5)],
      sizes,
      dropLimit: 0.25,
    });
    expect(group.wires[0]!.size.id).toBe('W1');
    expect(group.wires[0]!.chosenByHand).toBe(true);
    expect(group.wires[0]!.criteria.find((c) => c.name === 'voltage drop')!.verdict).toBe('fails');
  });

  test('when no size passes, the one that fails fewest is taken', () => {
    const group = sized({ jobs: [job('out', 40)], sizes, dropLimit: 0.05 });
    const fewest = Math.min(...group.candidates.map((c) => c.fails.length));
    expect(fewest).toBeGreaterThan(0);
    const taken = group.candidates.find((c) => c.size === group.wires[0]!.size)!;
    expect(taken.fails).toHaveLength(fewest);
  });

  test.each([0.5, 2, 6, 12, 40])(
    'over %d m a smaller drop that is allowed never takes a thinner wire',
    (length) => {
      let last = 0;
      for (const dropLimit of [1, 0.5, 0.25, 0.12, 0.06, 0.03, 0.01, 0.001]) {
        const { area } = sized({ jobs: [job('out', length)], sizes, dropLimit }).wires[0]!.size;
        expect(area, `${dropLimit} V`).toBeGreaterThanOrEqual(last);
        last = area;
      }
    },
  );

  test('a drop that no size meets is come near to as far as the terminals take it', () => {
    const group = sized({ jobs: [job('out', 40)], sizes, dropLimit: 0.001 });
    const { size } = group.wires[0]!;
    const fitting = group.candidates.filter(
      ({ fails }) =>
        !fails.includes('terminal fit') && fails.every((name) => name === 'voltage drop'),
    );
    expect(fitting.length).toBeGreaterThan(1);
    expect(size.area).toBe(Math.max(...fitting.map((each) => each.size.area)));
  });

  test('no danger is taken where there is a size without one', () => {
    const dangers = ['current', 'short circuit', 'fuse'];
    for (const length of [0.5, 3, 40]) {
      for (const dropLimit of [0.5, 0.05, 0.001]) {
        const group = sized({ jobs: [job('out', length)], sizes, dropLimit });
        const taken = group.candidates.find((c) => c.size === group.wires[0]!.size)!;
        const isSafe = (fails: readonly string[]) => !fails.some((name) => dangers.includes(name));
        if (group.candidates.some(({ fails }) => isSafe(fails))) {
          expect(isSafe(taken.fails)).toBe(true);
        }
      }
    }
  });
});
