import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { supplyNetwork } from '../../exchange/index.ts';
import { solveDense } from '../../numerics/index.ts';
import { BadInput } from '../../quantities/index.ts';
import type {
  ElectricCircuit,
  ElectricElement,
  ElectricSolution,
  SolvedElectric,
} from './circuit.ts';
import { circuitShape } from './circuitShape.ts';
import { CompiledCircuit, solveElectric } from './compiledCircuit.ts';
import { THERMAL_VOLTAGE } from './nonlinear.ts';

const resistor = (id: string, from: string, to: string, resistance: number): ElectricElement => ({
  kind: 'resistor',
  id,
  from,
  to,
  resistance,
});
/** A battery with its negative pole at ground. */
const battery = (to: string, voltage: number, resistance = 0, id = 'battery'): ElectricElement => ({
  kind: 'source',
  id,
  from: '0',
  to,
  voltage,
  resistance,
});
const circuit = (...elements: ElectricElement[]): ElectricCircuit => ({ ground: '0', elements });

function solved(of: ElectricCircuit): SolvedElectric {
  const solution = solveElectric(of);
  if (solution.state === 'failed') throw new Error(solution.reason);
  return solution;
}

/** The most that currents at a node fail to add up to nothing, A. */
function kirchhoff({ elements, ground }: ElectricCircuit, { currents }: SolvedElectric): number {
  const sums = new Map<string, number>();
  const add = (node: string, current: number): void => {
    if (node !== ground) sums.set(node, (sums.get(node) ?? 0) + current);
  };
  for (const { id, from, to } of elements) {
    const current = currents.get(id)!;
    // A source counts from its negative to its positive pole through itself: it delivers there.
    add(from, current);
    add(to, -current);
  }
  return Math.max(0, ...[...sums.values()].map(Math.abs));
}

describe('closed forms', () => {
  test('a divider', () => {
    const of = circuit(
      battery('a', 12),
      resistor('r1', 'a', 'b', 1e3),
      resistor('r2', 'b', '0', 2e3),
    );
    const { voltages, currents } = solved(of);
    expect(voltages.get('b')).toBeCloseTo(8, 7);
    expect(currents.get('r1')).toBeCloseTo(4e-3, 10);
    expect(currents.get('battery')).toBeCloseTo(4e-3, 10);
  });

  test('a battery with resistance, its cable, and a pump of constant current', () => {
    const of = circuit(
      battery('plus', 12.6, 8e-3),
      resistor('cable', 'plus', 'stud', 2e-3),
      resistor('feed', 'stud', 'pump', 45e-3),
      { kind: 'current', id: 'pump', from: 'pump', to: 'earth', current: 14 },
      resistor('return', 'earth', '0', 6e-3),
    );
    const { voltages } = solved(of);
    expect(voltages.get('stud')).toBeCloseTo(12.6 - 14 * 10e-3, 9);
    expect(voltages.get('pump')! - voltages.get('earth')!).toBeCloseTo(12.6 - 14 * 61e-3, 9);
  });

  test('a bridge that is balanced carries nothing across', () => {
    const of = circuit(
      battery('a', 5),
      resistor('r1', 'a', 'b', 100),
      resistor('r2', 'b', '0', 300),
      resistor('r3', 'a', 'c', 50),
      resistor('r4', 'c', '0', 150),
      resistor('across', 'b', 'c', 10),
    );
    expect(solved(of).currents.get('across')).toBeCloseTo(0, 10);
  });

  test('two batteries side by side share by their resistances', () => {
    const of = circuit(
      battery('a', 12.8, 0.01, 'one'),
      battery('a', 12.2, 0.02, 'two'),
      resistor('load', 'a', '0', 1),
    );
    // Millman: the sum of V/R over the sum of 1/R.
    const at = (12.8 / 0.01 + 12.2 / 0.02) / (1 / 0.01 + 1 / 0.02 + 1);
    const { voltages, currents } = solved(of);
    expect(voltages.get('a')).toBeCloseTo(at, 8);
    expect(currents.get('two')).toBeCloseTo((12.2 - at) / 0.02, 6);
  });

  test('a load behind its regulator takes its power, from a supply that can give it', () => {
    const of = circuit(battery('a', 13.8), resistor('wire', 'a', 'b', 0.1), {
      kind: 'power',
      id: 'module',
      from: 'b',
      to: '0',
      power: 60,
      ratedVoltage: 12,
    });
    // v² − 13.8·v + 6 = 0
    const v = (13.8 + Math.sqrt(13.8 ** 2 - 4 * 6)) / 2;
    expect(solved(of).voltages.get('b')).toBeCloseTo(v, 8);
  });

  test('a load that asks for more than its supply can give falls to where it is a resistor', () => {
    const of = circuit(battery('a', 13.8), resistor('wire', 'a', 'b', 1), {
      kind: 'power',
      id: 'module',
      from: 'b',
      to: '0',
      power: 120,
      ratedVoltage: 12,
    });
    // 13.8² / (4 · 1 Ω) = 47.6 W is all there is.
    const resistance = 6 ** 2 / 120;
    expect(solved(of).voltages.get('b')).toBeCloseTo((13.8 * resistance) / (1 + resistance), 8);
  });

  test('a diode lets through what its law says, and nothing backwards', () => {
    const diode = { kind: 'diode', id: 'd', saturation: 1e-14, emission: 1 } as const;
    const forward = solved(
      circuit(battery('a', 12), resistor('r', 'a', 'b', 100), { ...diode, from: 'b', to: '0' }),
    );
    const v = forward.voltages.get('b')!;
    const current = (12 - v) / 100;
    expect(1e-14 * Math.expm1(v / THERMAL_VOLTAGE)).toBeCloseTo(current, 9);
    expect(v).toBeGreaterThan(0.7);
    expect(v).toBeLessThan(0.8);
    const backward = solved(
      circuit(battery('a', 12), resistor('r', 'a', 'b', 100), { ...diode, from: '0', to: 'b' }),
    );
    expect(backward.currents.get('r')).toBeCloseTo(0, 9);
    expect(backward.voltages.get('b')).toBeCloseTo(12, 6);
  });

  test('a wire without resistance carries its current without a drop', () => {
    const of = circuit(battery('a', 12), resistor('lug', 'a', 'b', 0), resistor('r', 'b', '0', 4));
    const { voltages, currents } = solved(of);
    expect(voltages.get('b')).toBe(voltages.get('a'));
    expect(currents.get('lug')).toBeCloseTo(3, 9);
  });

  test('what hangs on nothing stands at 0 V, and what is open carries nothing', () => {
    const of = circuit(
      battery('a', 12),
      resistor('switch', 'a', 'b', Infinity),
      resistor('lamp', 'b', 'c', 3),
    );
    const { voltages, currents } = solved(of);
    expect(voltages.get('b')).toBe(0);
    expect(currents.get('switch')).toBe(0);
  });
});

describe('what loads share of their supply', () => {
  const supply = [battery('a', 12.6, 6e-3), resistor('main', 'a', 'stud', 4e-3)];
  const pump = (n: number, current: number): ElectricElement[] => [
    resistor(`feed-${n}`, 'stud', `p${n}`, 0.02 * n),
    { kind: 'current', id: `pump-${n}`, from: `p${n}`, to: '0', current },
  ];

  test('stands beside the diagonal: the voltages of three pumps from it are those of the circuit', () => {
    const currents = [9, 14, 6];
    const loaded = solved(circuit(...supply, ...currents.flatMap((c, i) => pump(i + 1, c))));
    const compiled = new CompiledCircuit(
      circuit(...supply, ...currents.flatMap((_, i) => pump(i + 1, 0))),
    );
    const open = compiled.solve();
    const ports = currents.map((_, i) => ({ plus: `p${i + 1}`, minus: '0' }));
    const shared = compiled.portResistances(ports);
    expect(shared[0]![1]).toBeCloseTo(10e-3, 9);
    expect(shared[2]![2]).toBeCloseTo(70e-3, 9);
    ports.forEach(({ plus }, i) => {
      if (open.state === 'failed') throw new Error(open.reason);
      const fall = currents.reduce((sum, c, j) => sum + c * shared[i]![j]!, 0);
      expect(open.voltages.get(plus)! - fall).toBeCloseTo(loaded.voltages.get(plus)!, 9);
    });
  });

  test('is the same seen from either side', () => {
    const compiled = new CompiledCircuit(circuit(...supply, ...pump(1, 5), ...pump(2, 5)));
    compiled.solve();
    const z = compiled.portResistances([
      { plus: 'p1', minus: '0' },
      { plus: 'p2', minus: '0' },
    ]);
    expect(z[0]![1]).toBeCloseTo(z[1]![0]!, 12);
  });
});

/** The same circuit by Gauss on a full matrix: conductances and Norton sources only. */
function byGauss({ elements }: ElectricCircuit): Map<string, number> {
  const names = [...new Set(elements.flatMap(({ from, to }) => [from, to]))].filter(
    (n) => n !== '0',
  );
  const row = new Map(names.map((name, i) => [name, i]));
  const matrix = names.map((_, i) => names.map((__, j): number => (i === j ? 1e-12 : 0)));
  const right = names.map(() => 0);
  for (const element of elements) {
    const [a, b] = [row.get(element.from), row.get(element.to)];
    const add = (g: number, i: number): void => {
      if (a !== undefined) [matrix[a]![a]!, right[a]!] = [matrix[a]![a]! + g, right[a]! - i];
      if (b !== undefined) [matrix[b]![b]!, right[b]!] = [matrix[b]![b]! + g, right[b]! + i];
      if (a === undefined || b === undefined) return;
      matrix[a]![b]! -= g;
      matrix[b]![a]! -= g;
    };
    if (element.kind === 'resistor') add(1 / element.resistance, 0);
    if (element.kind === 'source')
      add(1 / element.resistance, element.voltage / element.resistance);
    if (element.kind === 'current') add(0, element.current);
  }
  const x = Float64Array.from(right);
  solveDense(Float64Array.from(matrix.flat()), x, names.length);
  return new Map(names.map((name, i) => [name, x[i]!]));
}

describe('any network', () => {
  test('is solved as by Gauss on the full matrix', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 2, max: 40 }),
        (seed, size) => {
          const of = supplyNetwork(seed, size, false);
          const full = byGauss(of);
          for (const [node, volts] of solved(of).voltages) {
            if (node !== '0') expect(volts).toBeCloseTo(full.get(node)!, 7);
          }
        },
      ),
      { numRuns: 60, seed: 3 },
    );
  });

  test('keeps Kirchhoff at every node, with loads of every kind', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 2, max: 120 }),
        (seed, size) => {
          const of = supplyNetwork(seed, size, true);
          expect(kirchhoff(of, solved(of))).toBeLessThan(1e-7);
        },
      ),
      { numRuns: 60, seed: 5 },
    );
  });

  test('gives out as much power as it takes in', () => {
    const of = supplyNetwork(11, 80, true);
    const { voltages, currents } = solved(of);
    const power = of.elements.reduce(
      (sum, { id, from, to }) =>
        sum + (voltages.get(from)! - voltages.get(to)!) * currents.get(id)!,
      0,
    );
    // A source counts against its voltage: what it gives is below 0.
    expect(power).toBeCloseTo(0, 6);
  });

  test('is the same solved again after other values, and when loads are named in another order', () => {
    const of = supplyNetwork(21, 60, true);
    const compiled = new CompiledCircuit(of);
    const first = compiled.solve();
    const opened = new Map(
      of.elements.flatMap((e) =>
        e.id === 'w3' ? [[e.id, { ...e, resistance: Infinity }] as const] : [],
      ),
    );
    const other = compiled.solve(opened);
    const again = compiled.solve();
    if (first.state === 'failed' || again.state === 'failed' || other.state === 'failed') {
      throw new Error('not solved');
    }
    expect([...again.voltages]).toEqual([...first.voltages]);
    expect(other.currents.get('w3')).toBe(0);
    const turned = solved({ ...of, elements: of.elements.toReversed() });
    for (const [node, volts] of first.voltages)
      expect(turned.voltages.get(node)).toBeCloseTo(volts, 8);
  });
});

describe('circuits that are alike', () => {
  const ladder = (ohm: number): ElectricCircuit => ({
    ground: '0',
    elements: [
      { kind: 'source', id: 's', from: '0', to: 'n0', voltage: 12, resistance: 0.1 },
      ...Array.from({ length: 12 }, (_, i) => [
        { kind: 'resistor', id: `a${i}`, from: `n${i}`, to: `n${i + 1}`, resistance: ohm } as const,
        { kind: 'resistor', id: `b${i}`, from: `n${i + 1}`, to: '0', resistance: 10 } as const,
      ]).flat(),
    ],
  });
  const far = (solution: ElectricSolution): number =>
    solution.state === 'solved' ? solution.voltages.get('n12')! : NaN;

  test('share how they are ordered, and nothing of their values', () => {
    const [thin, thick] = [new CompiledCircuit(ladder(1)), new CompiledCircuit(ladder(0.01))];
    const alone = [far(thin.solve()), far(thick.solve())];
    expect(alone[0]).toBeLessThan(alone[1]!);
    // Solved in turn they stay what they were, to the last digit.
    for (let turn = 0; turn < 3; turn++) {
      expect(far(thin.solve())).toBe(alone[0]);
      expect(far(thick.solve())).toBe(alone[1]);
    }
  });

  test('are analysed once, and anew where anything but a value is another', () => {
    const shape = circuitShape(ladder(1));
    expect(circuitShape(ladder(5))).toBe(shape);
    const { ground, elements } = ladder(1);
    const [source, first, ...rest] = elements;
    const others: ElectricCircuit[] = [
      { ground: 'n0', elements },
      { ground, elements: elements.slice(1) },
      { ground, elements: elements.toReversed() },
      { ground, elements: [source!, { ...first!, id: 'other' }, ...rest] },
      { ground, elements: [source!, { ...first!, to: 'n2' }, ...rest] },
      { ground, elements: [source!, resistor(first!.id, first!.from, first!.to, 0), ...rest] },
      {
        ground,
        elements: [
          source!,
          { kind: 'current', id: first!.id, from: first!.from, to: first!.to, current: 1 },
          ...rest,
        ],
      },
    ];
    for (const other of others) expect(circuitShape(other)).not.toBe(shape);
  });
});

describe('what is refused', () => {
  test.each([
    ['a resistance below 0', resistor('r', 'a', '0', -1)],
    ['a voltage that is none', battery('a', Number.NaN)],
    [
      'a power below 0',
      { kind: 'power', id: 'p', from: 'a', to: '0', power: -1, ratedVoltage: 12 },
    ],
    [
      'a diode without saturation',
      { kind: 'diode', id: 'd', from: 'a', to: '0', saturation: 0, emission: 1 },
    ],
  ] as [string, ElectricElement][])('%s', (_words, element) => {
    expect(() => solveElectric(circuit(battery('b', 12), element))).toThrow(BadInput);
  });

  test('two sources without resistance side by side', () => {
    const of = circuit(
      battery('a', 12, 0, 'one'),
      battery('a', 13, 0, 'two'),
      resistor('r', 'a', '0', 1),
    );
    expect(() => solveElectric(of)).toThrow(/loop of sources/);
  });

  test('an element that becomes another between its solutions', () => {
    const compiled = new CompiledCircuit(circuit(battery('a', 12), resistor('r', 'a', '0', 1)));
    expect(() => compiled.solve(new Map([['r', resistor('r', 'a', 'c', 1)]]))).toThrow(BadInput);
  });
});
