import { presentMemory } from './memory.ts';
import { sameValue } from './sameValue.ts';

/** Answers remembered of each object: the last, and those before it that an undo goes back to. */
const ANSWERS = 3;

interface Remembered<Rest, Answer> {
  readonly rest: Rest;
  readonly answer: Answer;
}

function memoWhile<First extends object, Rest extends readonly unknown[], Answer>(
  isSame: (a: unknown, b: unknown) => boolean,
  compute: (first: First, ...rest: Rest) => Answer,
): (first: First, ...rest: Rest) => Answer {
  const begin = () => new WeakMap<First, readonly Remembered<Rest, Answer>[]>();
  return (first, ...rest) => {
    const known = presentMemory().of(begin);
    const before = known.get(first) ?? [];
    const again = before.find((each) => each.rest.every((value, i) => isSame(value, rest[i])));
    if (again && again === before[0]) return again.answer;
    const now = again ?? { rest, answer: compute(first, ...rest) };
    known.set(first, [now, ...before.filter((each) => each !== again).slice(0, ANSWERS - 1)]);
    return now.answer;
  };
}

/**
 * A function that answers as before when it is asked with the very same values. It remembers in the
 * present memory, by its first argument, an object that is never changed.
 */
export const memo = <First extends object, Rest extends readonly unknown[], Answer>(
  compute: (first: First, ...rest: Rest) => Answer,
) => memoWhile(Object.is, compute);

/** The same, where the arguments after the first need only be equal by value. */
export const memoByValue = <First extends object, Rest extends readonly unknown[], Answer>(
  compute: (first: First, ...rest: Rest) => Answer,
) => memoWhile(sameValue, compute);

/** The same for each pair of two objects that are never changed. */
export function memoOfPair<
  First extends object,
  Second extends object,
  Rest extends readonly unknown[],
  Answer,
>(
  compute: (first: First, second: Second, ...rest: Rest) => Answer,
): (first: First, second: Second, ...rest: Rest) => Answer {
  const ofFirst = memo((first: First) =>
    memoByValue((second: Second, ...rest: Rest) => compute(first, second, ...rest)),
  );
  return (first, second, ...rest) => ofFirst(first)(second, ...rest);
}

/** A function of a text, which forgets everything when it knows `most` answers. */
export function memoOfText<Answer>(
  compute: (text: string) => Answer,
  most: number,
): (text: string) => Answer {
  const begin = () => new Map<string, Answer>();
  return (text) => {
    const known = presentMemory().of(begin);
    const before = known.get(text);
    if (before !== undefined) return before;
    const answer = compute(text);
    if (known.size >= most) known.clear();
    known.set(text, answer);
    return answer;
  };
}
