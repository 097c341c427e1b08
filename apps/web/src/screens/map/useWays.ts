import type { AutoRouteProgress, ProposedWay, RouteOf } from '@brookrain/core';
import { useEffect, useRef, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { cancelRun, lookForWays } from '../../evaluation/useEvaluation.ts';

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'looking'; readonly progress: AutoRouteProgress | undefined }
  | { readonly kind: 'found'; readonly ways: readonly ProposedWay[] }
  | { readonly kind: 'failed'; readonly reason: string };

/** Ways that are looked for, and what may be done with the search. */
export interface LookedFor {
  readonly state: State;
  /** ways that are drawn: found, or found so far */
  readonly ways: readonly ProposedWay[];
  readonly look: (of: RouteOf) => void;
  readonly cancel: () => void;
  readonly drop: () => void;
}

/** The search for ways of a line, which ends when the build or the line is another. */
export function useWays(lineId: string): LookedFor {
  const { stored, catalogue } = useBuild();
  const [state, setState] = useState<State>({ kind: 'idle' });
  const wanted = useRef(0);
  useEffect(() => {
    setState({ kind: 'idle' });
    return () => {
      wanted.current += 1;
      void cancelRun();
    };
  }, [stored, lineId]);
  const look = (of: RouteOf): void => {
    const own = ++wanted.current;
    const mine = (next: State): void => {
      if (own === wanted.current) setState(next);
    };
    setState({ kind: 'looking', progress: undefined });
    lookForWays(stored, catalogue, of, (progress) => mine({ kind: 'looking', progress })).then(
      (ways) => mine(ways ? { kind: 'found', ways } : { kind: 'idle' }),
      (error: unknown) =>
        mine({ kind: 'failed', reason: error instanceof Error ? error.message : String(error) }),
    );
  };
  const ways =
    state.kind === 'found'
      ? state.ways
      : state.kind === 'looking'
        ? (state.progress?.ways ?? [])
        : [];
  return {
    state,
    ways,
    look,
    cancel: () => void cancelRun(),
    drop: () => setState({ kind: 'idle' }),
  };
}
