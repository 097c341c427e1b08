/**
 * A function that answers as before while it is asked with the very same values: its first, an
 * object that is never changed, holds what was answered last.
 */
export function kept<First extends object, Rest extends readonly unknown[], Answer>(
  compute: (first: First, ...rest: Rest) => Answer,
): (first: First, ...rest: Rest) => Answer {
  const known = new WeakMap<First, { readonly rest: Rest; readonly answer: Answer }>();
  return (first, ...rest) => {
    const before = known.get(first);
    if (before && before.rest.every((each, i) => each === rest[i])) return before.answer;
    const answer = compute(first, ...rest);
    known.set(first, { rest, answer });
    return answer;
  };
}
