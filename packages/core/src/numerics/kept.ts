import { sameValue } from './sameValue.ts';

function keptWhile<First extends object, Rest extends readonly unknown[], Answer>(
  isSame: (a: unknown, b: unknown) => boolean,
  compute: (first: First, ...rest: Rest) => Answer,
): (first: First, ...rest: Rest) => Answer {
  const known = new WeakMap<First, { readonly rest: Rest; readonly answer: Answer }>();
  return (first, ...rest) => {
    const before = known.get(first);
    if (before && before.rest.every((each, i) => isSame(each, rest[i]))) return before.answer;
    const answer = compute(first, ...rest);
    known.set(first, { rest, answer });
    return answer;
  };
}

/**
 * A function that answers as before while it is asked with the very same values: its first, an
 * object that is never changed, holds what was answered last.
 */
export const kept = <First extends object, Rest extends readonly unknown[], Answer>(
  compute: (first: First, ...rest: Rest) => Answer,
) => keptWhile(Object.is, compute);

/** The same, where what follows the first object may be made anew as long as it says the same. */
export const keptByValue = <First extends object, Rest extends readonly unknown[], Answer>(
  compute: (first: First, ...rest: Rest) => Answer,
) => keptWhile(sameValue, compute);
