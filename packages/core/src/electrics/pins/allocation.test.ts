import fc from 'fast-check';
import { beforeAll, describe, expect, test } from 'vitest';
import { type ProgramSolver, finished, searchTime, seededUniform } from '../../numerics/index.ts';
import { BadInput } from '../../quantities/index.ts';
import { type AllocationAnswer, allocate, allocationCost, conflictOf } from './allocate.ts';
import { pin, signal } from '../../tests/allocationParts.ts';
import { integerSolver } from '../../tests/integerSolver.ts';
import type { AllocationProblem, PinOffer, SignalNeed } from './allocationProblem.ts';
import { assignmentFaults } from './assignmentFaults.ts';
import type { PinCapability } from '../../catalogue/index.ts';
import { conflictInWords } from './conflictInWords.ts';
import { sparePins } from './sparePins.ts';

let solve: ProgramSolver;
beforeAll(async () => {
  solve = await integerSolver();
});

const problem = (
  pins: readonly PinOffer[],
  signals: readonly SignalNeed[],
  totals: AllocationProblem['totals'] = [],
): AllocationProblem => ({ pins, signals, totals });

const answerTo = (asked: AllocationProblem): AllocationAnswer => finished(allocate(asked, solve));
function allocated(asked: AllocationProblem): ReadonlyMap<string, string> {
  const answer = answerTo(asked);
  if (answer.state !== 'allocated') throw new Error(`no allocation: ${answer.state}`);
  expect(assignmentFaults(asked, answer.pins)).toEqual([]);
  return answer.pins;
}

/** The least cost over every way to put signals on pins; undefined where there is none. */
function bruteForce(asked: AllocationProblem): number | undefined {
  let best: number | undefined;
  const pins = new Map<string, string>();
  const walk = (k: number): void => {
    const next = asked.signals[k];
    if (!next) {
      if (assignmentFaults(asked, pins).length > 0) return;
      const cost = allocationCost(asked, pins);
      best = best === undefined ? cost : Math.min(best, cost);
      return;
    }
    for (const { id } of asked.pins) {
      pins.set(next.id, id);
      walk(k + 1);
    }
    pins.delete(next.id);
  };
  walk(0);
  return best;
}

/** A small unit with everything that pins can have, and signals for it. */
function randomProblem(seed: number): AllocationProblem {
  const uniform = seededUniform(seed);
  const pick = <T>(of: readonly T[]): T => of[Math.floor(uniform() * of.length)]!;
  const kinds: PinCapability[] = ['low-side', 'high-side', 'pwm', 'h-bridge'];
  const pins = Array.from({ length: 5 }, (_, i) =>
    pin(`p${i}`, [pick(kinds), ...(uniform() < 0.5 ? [pick(kinds)] : [])], {
      number: i,
      connector: pick(['A', 'B']),
      currentLimit: pick([1, 3, Infinity]),
      timer: pick([undefined, 't1']),
    }),
  );
  pins[0] = { ...pins[0]!, capabilities: ['h-bridge'], pairedWith: 'p1' };
  pins[1] = { ...pins[1]!, capabilities: ['h-bridge', 'low-side'], pairedWith: 'p0' };
  const signals = Array.from({ length: 4 }, (_, i) =>
    signal(`s${i}`, pick(kinds.slice(0, 3)), {
      current: pick([0.2, 2]),
      frequency: pick([0, 30, 100]),
      position: pick([undefined, i]),
      nearConnector: pick([undefined, 'A', 'B']),
      locked: uniform() < 0.1 ? pick(pins).id : undefined,
    }),
  );
  if (uniform() < 0.5) {
    signals[0] = signal('s0', 'h-bridge', { pairedWith: 's1' });
    signals[1] = signal('s1', 'h-bridge', { pairedWith: 's0' });
  } else if (uniform() < 0.3) {
    signals[2] = { ...signals[2]!, output: 'both' };
    signals[3] = { ...signals[3]!, capability: signals[2].capability, output: 'both' };
  }
  return problem(
    pins,
    signals,
    uniform() < 0.4 ? [{ id: 't', name: 'driver', pins: ['p2', 'p3', 'p4'], current: 2.3 }] : [],
  );
}

describe('an allocation', () => {
  test('is the cheapest of all there are, or there is none', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const asked = randomProblem(seed);
        const best = bruteForce(asked);
        const answer = answerTo(asked);
        if (best === undefined) expect(answer.state).toBe('conflict');
        else {
          if (answer.state !== 'allocated') throw new Error(answer.state);
          expect(assignmentFaults(asked, answer.pins)).toEqual([]);
          expect(answer.proven).toBe(true);
          expect(answer.cost).toBeCloseTo(best, 6);
        }
      }),
      { numRuns: 80, seed: 9 },
    );
  });

  test('Searches end: in no time it is the first there is, with the least that any could cost', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const asked = randomProblem(seed);
      const answer = finished(allocate(asked, solve, 0));
      if (answer.state === 'unknown') continue;
      if (answer.state !== 'allocated') {
        expect(answer.state).toBe('conflict');
        continue;
      }
      const least = bruteForce(asked)!;
      expect(answer.proven).toBe(false);
      expect(answer.bound).toBeLessThanOrEqual(least + 1e-6);
      expect(answer.cost).toBeGreaterThanOrEqual(least - 1e-6);
      expect(assignmentFaults(asked, answer.pins)).toEqual([]);
    }
  });

  test('keeps high-side outputs free where a low-side one does', () => {
    const pins = allocated(
      problem(
        [pin('hs', ['high-side', 'low-side']), pin('ls', ['low-side'])],
        [signal('a', 'low-side')],
      ),
    );
    expect(pins.get('a')).toBe('ls');
  });

  test('puts injectors in their order', () => {
    const outputs = [1, 2, 3, 4].map((number) => pin(`inj${number}`, ['low-side'], { number }));
    const wanted = [3, 1, 4, 2].map((position) => signal(`i${position}`, 'low-side', { position }));
    const pins = allocated(problem(outputs, wanted));
    for (const position of [1, 2, 3, 4]) expect(pins.get(`i${position}`)).toBe(`inj${position}`);
  });

  test('respects what is settled by hand', () => {
    const pins = allocated(
      problem(
        [pin('one', ['low-side']), pin('two', ['low-side'], { number: 2 })],
        [signal('a', 'low-side', { locked: 'two' }), signal('b', 'low-side')],
      ),
    );
    expect([pins.get('a'), pins.get('b')]).toEqual(['two', 'one']);
  });

  test('gives two devices one output where they are told to share it and it carries both', () => {
    const fans = [
      signal('fan', 'low-side', { output: 'fans', current: 0.2 }),
      signal('gearbox fan', 'low-side', { output: 'fans', current: 0.2 }),
    ];
    const one = [pin('out', ['low-side'], { currentLimit: 0.5 })];
    expect(new Set(allocated(problem(one, fans)).values())).toEqual(new Set(['out']));
    const weak = [pin('out', ['low-side'], { currentLimit: 0.3 })];
    expect(answerTo(problem(weak, fans)).state).toBe('conflict');
  });

  test('puts both signals of a bridge on one pair', () => {
    const pairs = [
      pin('a1', ['h-bridge'], { pairedWith: 'a2' }),
      pin('a2', ['h-bridge'], { pairedWith: 'a1' }),
      pin('b1', ['h-bridge'], { pairedWith: 'b2', number: 2 }),
      pin('b2', ['h-bridge'], { pairedWith: 'b1', number: 2 }),
    ];
    const motor = [
      signal('plus', 'h-bridge', { pairedWith: 'minus' }),
      signal('minus', 'h-bridge', { pairedWith: 'plus', locked: 'b1' }),
    ];
    expect(allocated(problem(pairs, motor)).get('plus')).toBe('b2');
  });

  test('never runs one timer at two frequencies', () => {
    const shared = [
      pin('x', ['pwm'], { timer: 't' }),
      pin('y', ['pwm'], { timer: 't', number: 2 }),
    ];
    const own = pin('z', ['pwm', 'high-side'], { number: 3 });
    const wanted = [
      signal('boost', 'pwm', { frequency: 30 }),
      signal('idle', 'pwm', { frequency: 100 }),
    ];
    expect([...allocated(problem([...shared, own], wanted)).values()]).toContain('z');
    expect(answerTo(problem(shared, wanted)).state).toBe('conflict');
  });
});

describe('a conflict', () => {
  const unit = [
    ...[1, 2, 3, 4].map((number) => pin(`hs${number}`, ['high-side'], { number })),
    ...[1, 2, 3].map((number) => pin(`ls${number}`, ['low-side'], { number })),
  ];
  const five = ['lock-up', 'fan 1', 'fan 2', 'pump', 'main'].map((id) => signal(id, 'high-side'));
  const others = ['boost', 'purge'].map((id) => signal(id, 'low-side'));

  test('names the five that want one of four, and nothing else', () => {
    const asked = problem(unit, [...others, ...five]);
    const answer = answerTo(asked);
    if (answer.state !== 'conflict') throw new Error(answer.state);
    expect([...answer.conflict.signals].sort()).toEqual(five.map(({ id }) => id).sort());
    expect(answer.conflict.pins).toHaveLength(4);
    expect(answer.conflict).toMatchObject({ locks: [], totals: [] });
    expect(conflictInWords(answer.conflict, asked)).toBe(
      '5 signals need a high-side output (lock-up; fan 1; fan 2; pump; main); this unit has 4 pins that can',
    );
  });

  test('is not claimed where the solver was stopped, and is not called the smallest', () => {
    const asked = problem(unit, [...others, ...five]);
    const stopped: ProgramSolver = () => ({ status: 'unknown' });
    expect(finished(allocate(asked, stopped))).toEqual({ state: 'unknown' });
    const conflict = conflictOf(asked, solve, searchTime(0));
    expect(conflict.isSmallest).toBe(false);
    expect(conflict.signals).toEqual(expect.arrayContaining(five.map(({ id }) => id)));
    expect(conflictInWords(conflict, asked)).toContain('Not all of these may be part');
    expect(conflictOf(asked, solve).isSmallest).toBe(true);
  });

  test('is gone when any of its signals is left out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const asked = randomProblem(seed);
        if (bruteForce(asked) !== undefined) return;
        const { signals, locks, totals } = conflictOf(asked, solve);
        const only = (left: readonly string[]): AllocationProblem => ({
          pins: asked.pins,
          signals: asked.signals
            .filter(({ id }) => left.includes(id))
            .map((s) => ({
              ...s,
              locked: locks.includes(s.id) ? s.locked : undefined,
              pairedWith: s.pairedWith && left.includes(s.pairedWith) ? s.pairedWith : undefined,
            })),
          totals: asked.totals.filter(({ id }) => totals.includes(id)),
        });
        expect(bruteForce(only(signals))).toBeUndefined();
        const shared = new Map(asked.signals.map(({ id, output }) => [id, output ?? id]));
        for (const id of signals) {
          const rest = signals.filter((other) => shared.get(other) !== shared.get(id));
          if (rest.length > 0) expect(bruteForce(only(rest))).toBeDefined();
        }
      }),
      { numRuns: 60, seed: 4 },
    );
  });

  test('with a lock names the lock', () => {
    const asked = problem(unit, [
      signal('a', 'low-side', { locked: 'ls1' }),
      signal('b', 'low-side', { locked: 'ls1' }),
    ]);
    const answer = answerTo(asked);
    if (answer.state !== 'conflict') throw new Error(answer.state);
    expect([...answer.conflict.locks].sort()).toEqual(['a', 'b']);
  });

  test('over a limit in all names the limit', () => {
    const asked = problem(
      [pin('r1', ['reference-5v']), pin('r2', ['reference-5v'])],
      [
        signal('pedal', 'reference-5v', { current: 0.06 }),
        signal('map', 'reference-5v', { current: 0.06 }),
      ],
      [{ id: 'reference', name: '5 V reference', pins: ['r1', 'r2'], current: 0.1 }],
    );
    const answer = answerTo(asked);
    if (answer.state !== 'conflict') throw new Error(answer.state);
    expect(answer.conflict.totals).toEqual(['reference']);
    expect(conflictInWords(answer.conflict, asked)).toContain('5 V reference carries 0.1 A in all');
  });
});

describe('an assignment by hand', () => {
  const pins = [
    pin('hs', ['high-side'], { currentLimit: 2 }),
    pin('ls', ['low-side'], { frequencyLimit: 50 }),
    pin('ls2', ['low-side']),
  ];
  const kinds = (asked: AllocationProblem, assigned: Record<string, string>): string[] =>
    assignmentFaults(asked, new Map(Object.entries(assigned))).map(({ kind }) => kind);
  const relay = signal('relay', 'low-side');

  test.each([
    ['nothing', [relay], {}, ['unassigned']],
    ['a pin that cannot', [relay], { relay: 'hs' }, ['capability']],
    [
      'too much current',
      [signal('pump', 'high-side', { current: 3 })],
      { pump: 'hs' },
      ['current'],
    ],
    ['too fast', [signal('valve', 'low-side', { frequency: 300 })], { valve: 'ls' }, ['frequency']],
    ['one pin twice', [relay, signal('b', 'low-side')], { relay: 'ls', b: 'ls' }, ['taken']],
    ['not where it is settled', [{ ...relay, locked: 'ls2' }], { relay: 'ls' }, ['lock']],
    [
      'an output that is split',
      [
        { ...relay, output: 'both' },
        { ...signal('b', 'low-side'), output: 'both' },
      ],
      { relay: 'ls', b: 'ls2' },
      ['split'],
    ],
    ['all is well', [relay], { relay: 'ls' }, []],
  ] as [string, SignalNeed[], Record<string, string>, string[]][])(
    '%s',
    (_words, signals, assigned, faults) => {
      expect(kinds(problem(pins, signals), assigned)).toEqual(faults);
    },
  );

  test('leaves the pins that nothing is on, by what they could do', () => {
    const spare = sparePins({ pins }, new Map([['relay', 'ls']]));
    expect(spare.get('low-side')).toEqual(['ls2']);
    expect(spare.get('high-side')).toEqual(['hs']);
    expect(spare.get('pwm')).toBeUndefined();
  });

  test.each([
    ['a lock on a pin that is not there', problem(pins, [{ ...relay, locked: 'x' }])],
    ['a mate that is not there', problem(pins, [{ ...relay, pairedWith: 'x' }])],
    ['two signals of one id', problem(pins, [relay, relay])],
    [
      'a limit over a pin that is not there',
      problem(pins, [], [{ id: 't', name: 't', pins: ['x'], current: 1 }]),
    ],
  ])('%s is refused', (_words, asked) => {
    expect(() => assignmentFaults(asked, new Map())).toThrow(BadInput);
  });
});
