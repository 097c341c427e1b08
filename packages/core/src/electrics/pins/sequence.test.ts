import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { applyCommand, evaluate } from '../../evaluation/index.ts';
import { kittiwake, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { settledLantern } from '../../tests/trippedElectrics.ts';
import { pin, signal } from '../../tests/allocationParts.ts';
import { allocationCost } from './allocate.ts';
import { firingOrder, outputFor } from './firingOrder.ts';
import { inSequence } from './inSequence.ts';

describe('a firing order', () => {
  test.each([
    ['1-3-4-2', 4, [1, 3, 4, 2]],
    ['1, 5, 3, 6, 2, 4', 6, [1, 5, 3, 6, 2, 4]],
    [' 1 2 3 ', 3, [1, 2, 3]],
    ['1-2-3', 4, undefined],
    ['1-2-2-4', 4, undefined],
    ['1-2-3-5', 4, undefined],
    ['0-1-2', 3, undefined],
    ['', 4, undefined],
    ['unknown', 2, undefined],
  ])('written “%s” of %d cylinders is %j', (written, cylinders, order) => {
    expect(firingOrder(written, cylinders)).toEqual(order);
  });

  test('gives every cylinder an output of its own, and the cylinder back', () => {
    const orders = fc.integer({ min: 1, max: 12 }).chain((n) =>
      fc.shuffledSubarray(
        Array.from({ length: n }, (_, i) => i + 1),
        { minLength: n },
      ),
    );
    fc.assert(
      fc.property(orders, (order) => {
        expect(firingOrder(order.join('-'), order.length)).toEqual(order);
        for (const cylinder of order) {
          const output = outputFor('firing order', cylinder, order)!;
          expect(order[output - 1]).toBe(cylinder);
          expect(outputFor('cylinder', cylinder, order)).toBe(cylinder);
        }
      }),
    );
  });

  test('that is not known says nothing of an output', () => {
    expect(outputFor('firing order', 1, undefined)).toBeUndefined();
    expect(outputFor('cylinder', 3, undefined)).toBe(3);
  });
});

describe('signals that are fired in turn', () => {
  const problems = fc
    .record({
      count: fc.integer({ min: 1, max: 6 }),
      spare: fc.integer({ min: 0, max: 3 }),
      order: fc.shuffledSubarray([1, 2, 3, 4, 5, 6], { minLength: 6 }),
      other: fc.boolean(),
    })
    .map(({ count, spare, order, other }) => ({
      pins: Array.from({ length: count + spare + 1 }, (_, i) =>
        pin(`P${i + 1}`, ['low-side'], { number: i + 1 }),
      ),
      signals: [
        ...order
          .slice(0, count)
          .map((position, i) =>
            signal(`S${i}`, 'low-side', { current: 1, position, group: 'injectors' }),
          ),
        ...(other ? [signal('lamp', 'low-side', { current: 1 })] : []),
      ],
      totals: [],
    }));

  test('are on their outputs in turn, at no more cost, and nothing else moves', () => {
    fc.assert(
      fc.property(problems, fc.infiniteStream(fc.nat()), (problem, random) => {
        // Any assignment of a pin of its own to each.
        const left = problem.pins.map(({ id }) => id);
        const assigned = new Map(
          problem.signals.map(({ id }) => {
            const { value } = random.next() as { value: number };
            return [id, left.splice(value % left.length, 1)[0]!] as const;
          }),
        );
        const sorted = inSequence(problem, assigned);
        const numberOf = (id: string) => Number(sorted.get(id)!.slice(1));
        const turns = problem.signals
          .filter(({ group }) => group !== undefined)
          .sort((a, b) => a.position! - b.position!)
          .map(({ id }) => numberOf(id));
        expect(turns).toEqual([...turns].sort((a, b) => a - b));
        expect([...sorted.values()].sort()).toEqual([...assigned.values()].sort());
        expect(sorted.get('lamp')).toBe(assigned.get('lamp'));
        expect(allocationCost(problem, sorted)).toBeLessThanOrEqual(
          allocationCost(problem, assigned) + 1e-9,
        );
      }),
    );
  });

  test('stay where a person settled one of them', () => {
    const problem = {
      pins: [1, 2, 3].map((number) => pin(`P${number}`, ['low-side'], { number })),
      signals: [3, 2, 1].map((position) =>
        signal(`S${position}`, 'low-side', {
          position,
          group: 'coils',
          locked: position === 3 ? 'P1' : undefined,
        }),
      ),
      totals: [],
    };
    const assigned = new Map([
      ['S3', 'P1'],
      ['S2', 'P2'],
      ['S1', 'P3'],
    ]);
    expect([...inSequence(problem, assigned)].sort()).toEqual([
      ['S1', 'P2'],
      ['S2', 'P3'],
      ['S3', 'P1'],
    ]);
  });
});

const told = (document: BuildDocument) =>
  evaluate(document, sampleCatalogue).findings.filter(({ rule }) => rule === 'pin.sequence');
const pinOf = (document: BuildDocument, device: string, pin: string): string => {
  const to = document.devices[device]!.connections[pin]!;
  return to.to === 'controller' ? to.pin : '';
};

describe('the outputs of a unit', () => {
  const order = (written: string) => withValueAt(kittiwake, 'brief.firingOrder', written);

  test('by firing order: what fires second is on the second, whatever its number', () => {
    expect(told(order('1-2-3-4-5-6'))).toEqual([]);
    const crossed = order('1-5-3-6-2-4');
    // Two rows of injectors and the coils, each in turn.
    const findings = told(crossed);
    expect(findings).toHaveLength(3);
    const cured = findings.reduce((document, { id }) => {
      const now = told(document).find((finding) => finding.id === id)!;
      return applyCommand(document, now.cures()[0]!.command!).document;
    }, crossed);
    expect(told(cured)).toEqual([]);
    const injectors = [1, 5, 3, 6, 2, 4].map((n) => pinOf(cured, `injector-${n}`, '2'));
    expect(injectors).toEqual(['C01', 'C02', 'C03', 'C04', 'C05', 'C06']);
    // The pins that they share out stay those that they had.
    const coils = [1, 2, 3, 4, 5, 6].map((n) => pinOf(cured, `coil-${n}`, 'B')).sort();
    expect(coils).toEqual([1, 2, 3, 4, 5, 6].map((n) => pinOf(kittiwake, `coil-${n}`, 'B')).sort());
  });

  test('by cylinder: the order in which they fire changes nothing', () => {
    expect(told(settledLantern)).toEqual([]);
    expect(told(withValueAt(settledLantern, 'brief.firingOrder', '1-2-4-3'))).toEqual([]);
    expect(told(withValueAt(settledLantern, 'brief.firingOrder', ''))).toEqual([]);
  });

  test('that fire several at once have no order', () => {
    const onOne = [2, 3, 4].reduce(
      (document, n) =>
        withValueAt(document, ['devices', `coil-${n}`, 'connections', 'B'], {
          ...document.devices['coil-1']!.connections['B']!,
        }),
      settledLantern,
    );
    expect(told(onOne)).toEqual([]);
  });
});
