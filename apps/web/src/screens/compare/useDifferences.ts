import type { BuildDocument, RippleEntry } from '@brookrain/core';
import { useEffect, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { compareDocuments } from '../../evaluation/useEvaluation.ts';

export type Differences =
  | { readonly state: 'working' }
  | { readonly state: 'done'; readonly entries: readonly RippleEntry[] }
  | { readonly state: 'failed'; readonly reason: string };

/** What is different downstream between two documents; computed beside the page. */
export function useDifferences(
  before: BuildDocument | undefined,
  after: BuildDocument | undefined,
): Differences {
  const { catalogue } = useBuild();
  const [answer, setAnswer] = useState<{
    readonly of: readonly [BuildDocument, BuildDocument];
    readonly differences: Differences;
  }>();
  useEffect(() => {
    if (!before || !after) return;
    let wanted = true;
    const done = (differences: Differences): void => {
      if (wanted) setAnswer({ of: [before, after], differences });
    };
    compareDocuments(before, after, catalogue).then(
      (entries) => done({ state: 'done', entries }),
      (error: unknown) =>
        done({ state: 'failed', reason: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      wanted = false;
    };
  }, [before, after, catalogue]);
  const current = answer && answer.of[0] === before && answer.of[1] === after;
  return current ? answer.differences : { state: 'working' };
}
