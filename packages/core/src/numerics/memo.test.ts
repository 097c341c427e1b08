import { describe, expect, test } from 'vitest';
import { memo, memoByValue, memoOfPair, memoOfText } from './memo.ts';
import { createMemory, inPresentMemory, presentMemory, withMemory } from './memory.ts';

/** A function that counts how often it works something out. */
function counted() {
  let runs = 0;
  return {
    sum: (first: { readonly base: number }, ...rest: readonly { readonly more: number }[]) => {
      runs += 1;
      return { total: rest.reduce((sum, { more }) => sum + more, first.base) };
    },
    runs: () => runs,
  };
}

describe('what is remembered', () => {
  const base = { base: 1 };

  test('is given again for the very same values, and no others', () => {
    const { sum, runs } = counted();
    const remembered = memo(sum);
    const more = { more: 2 };
    const answer = remembered(base, more);
    expect(answer).toEqual({ total: 3 });
    expect(remembered(base, more)).toBe(answer);
    expect(remembered(base, { more: 2 })).not.toBe(answer);
    expect(remembered({ base: 1 }, more)).not.toBe(answer);
    expect(runs()).toBe(3);
  });

  test('by value is given again for what only says the same', () => {
    const { sum, runs } = counted();
    const remembered = memoByValue(sum);
    const answer = remembered(base, { more: 2 });
    expect(remembered(base, { more: 2 })).toBe(answer);
    expect(remembered(base, { more: 3 })).toEqual({ total: 4 });
    // The first object is known by what it is: it is never changed.
    expect(remembered({ base: 1 }, { more: 2 })).not.toBe(answer);
    expect(runs()).toBe(3);
  });

  test('holds the last three answers: an undo finds what stood before', () => {
    const { sum, runs } = counted();
    const remembered = memoByValue(sum);
    const answers = [1, 2, 3].map((more) => remembered(base, { more }));
    expect([1, 2, 3].map((more) => remembered(base, { more }))).toEqual(answers);
    expect(runs()).toBe(3);
    remembered(base, { more: 4 });
    expect(remembered(base, { more: 3 })).toBe(answers[2]);
    expect(remembered(base, { more: 2 })).toBe(answers[1]);
    expect(runs()).toBe(4);
    // The one that was asked for least lately had to go.
    remembered(base, { more: 1 });
    expect(runs()).toBe(5);
  });

  test('of a pair is told apart by both objects, and by the value of the rest', () => {
    let runs = 0;
    const remembered = memoOfPair(
      (a: { readonly x: number }, b: { readonly y: number }, rest: { readonly z: number }) => {
        runs += 1;
        return a.x + b.y + rest.z;
      },
    );
    const [a, other, b] = [{ x: 1 }, { x: 1 }, { y: 10 }];
    expect(remembered(a, b, { z: 100 })).toBe(111);
    expect(remembered(a, b, { z: 100 })).toBe(111);
    expect(runs).toBe(1);
    expect(remembered(other, b, { z: 100 })).toBe(111);
    expect(remembered(a, { y: 10 }, { z: 100 })).toBe(111);
    expect(remembered(a, b, { z: 200 })).toBe(211);
    expect(runs).toBe(4);
    // None of them pushed the first out.
    expect(remembered(a, b, { z: 100 })).toBe(111);
    expect(runs).toBe(4);
  });

  test('of a text is forgotten when there are too many', () => {
    let runs = 0;
    const remembered = memoOfText((text: string) => `${text}${(runs += 1)}`, 2);
    const answers = ['a', 'b', 'a', 'b'].map(remembered);
    expect(answers).toEqual(['a1', 'b2', 'a1', 'b2']);
    expect(remembered('c')).toBe('c3');
    expect(remembered('a')).toBe('a4');
  });

  test('stays in the memory that was present', () => {
    const { sum, runs } = counted();
    const remembered = memo(sum);
    const [one, two] = [createMemory(), createMemory()];
    const answer = withMemory(one, () => remembered(base));
    expect(withMemory(one, () => remembered(base))).toBe(answer);
    expect(runs()).toBe(1);
    withMemory(two, () => remembered(base));
    remembered(base);
    expect(runs()).toBe(3);
  });

  test('is found by work that is asked for later where it was made', () => {
    const { sum, runs } = counted();
    const remembered = memo(sum);
    const memory = createMemory();
    const later = withMemory(memory, () => inPresentMemory(() => remembered(base)));
    expect(later()).toBe(withMemory(memory, () => remembered(base)));
    expect(runs()).toBe(1);
  });

  test('does not stay in a memory whose work failed', () => {
    const outside = presentMemory();
    expect(() =>
      withMemory(createMemory(), () => {
        throw new Error('no');
      }),
    ).toThrow('no');
    expect(presentMemory()).toBe(outside);
  });
});
