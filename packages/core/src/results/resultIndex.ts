import { NotFound } from '../quantities/index.ts';
import type { FigureRef } from './figureRef.ts';
import type { Result } from './result.ts';

/** The figures of a build by what they are. */
export interface ResultIndex {
  readonly all: readonly Result[];
  /** a figure that the build may not have */
  readonly find: (ref: FigureRef) => Result | undefined;
  /** a figure that every build has; {@link NotFound} otherwise */
  readonly at: (ref: FigureRef) => Result;
}

/** Finds figures by reference. */
export function resultIndex(all: readonly Result[]): ResultIndex {
  const byKey = new Map<string, Result>();
  for (const result of all) byKey.set(result.key, result);
  return {
    all,
    find: (ref) => byKey.get(ref.key),
    at: (ref) => {
      const result = byKey.get(ref.key);
      if (!result) throw new NotFound(`there is no figure "${ref.key}"`, ref.key);
      return result;
    },
  };
}
