import { sameValue } from './sameValue.ts';

/** Answers that are kept of each object: the last, and those before it that an undo goes back to. */
const MEMORY = 3;

interface Kept<Rest, Answer> {
  readonly rest: Rest;
  readonly answer: Answer;
}

function keptWhile<First extends object, Rest extends readonly unknown[], Answer>(
  isSame: (a: unknown, b: unknown) => boolean,
  compute: (first: First, ...rest: Rest) => Answer,
): (first: First, ...rest: Rest) => Answer {
  const known = new WeakMap<First, readonly Kept<Rest, Answer>[]>();
  return (first, ...rest) => {
    const before = known.get(first) ?? [];
    const again = before.find((each) => each.rest.every((value, i) => isSame(value, rest[i])));
    if (again && again === before[0]) return again.answer;
    const now = again ?? { rest, answer: compute(first, ...rest) };
    known.set(first, [now, ...before.filter((each) => each !== again).slice(0, MEMORY - 1)]);
    return now.answer;
  };
}

/**
 * A function that answers as before while it is asked with the very same values: its first, an
 * object that is never changed, holds what was answered the last times.
 */
export const kept = <First extends object, Rest extends readonly unknown[], Answer>(
  compute: (first: First, ...rest: Rest) => Answer,
) => keptWhile(Object.is, compute);

/** The same, where what follows the first object may be made anew as long as it says the same. */
export const keptByValue = <First extends object, Rest extends readonly unknown[], Answer>(
  compute: (first: First, ...rest: Rest) => Answer,
) => keptWhile(sameValue, compute);

/** The same for each pair of two objects that are never changed. */
export function keptOfPair<
  First extends object,
  Second extends object,
  Rest extends readonly unknown[],
  Answer,
>(
  compute: (first: First, second: Second, ...rest: Rest) => Answer,
): (first: First, second: Second, ...rest: Rest) => Answer {
  const ofFirst = kept((first: First) =>
    keptByValue((second: Second, ...rest: Rest) => compute(first, second, ...rest)),
  );
  return (first, second, ...rest) => ofFirst(first)(second, ...rest);
}
