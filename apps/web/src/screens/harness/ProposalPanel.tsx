import { type HarnessProgress, type ProposedHarness, harnessFigure } from '@brookrain/core';
import { useEffect, useRef, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { cancelRun, lookForHarness } from '../../evaluation/useEvaluation.ts';

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'looking'; readonly progress: HarnessProgress | undefined }
  | { readonly kind: 'found'; readonly found: ProposedHarness }
  | { readonly kind: 'failed'; readonly reason: string };

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A harness that is proposed from where things stand: what it comes to, taken as one edit or left. */
export function ProposalPanel({ show }: { show: (proposed: ProposedHarness | undefined) => void }) {
  const { document: build, stored, catalogue, edit, results } = useBuild();
  const [state, setState] = useState<State>({ kind: 'idle' });
  const wanted = useRef(0);
  const drawn = state.kind === 'found' ? state.found : undefined;
  useEffect(() => {
    show(drawn);
    return () => show(undefined);
  }, [drawn, show]);
  useEffect(() => {
    setState({ kind: 'idle' });
    return () => {
      wanted.current += 1;
      void cancelRun();
    };
  }, [stored]);
  const look = (): void => {
    const own = ++wanted.current;
    const mine = (next: State): void => {
      if (own === wanted.current) setState(next);
    };
    setState({ kind: 'looking', progress: undefined });
    lookForHarness(stored, catalogue, (progress) => mine({ kind: 'looking', progress })).then(
      (found) =>
        mine(
          found?.best
            ? { kind: 'found', found: found.best }
            : { kind: 'failed', reason: 'nothing is left to be joined' },
        ),
      (error: unknown) =>
        mine({ kind: 'failed', reason: error instanceof Error ? error.message : String(error) }),
    );
  };
  const take = (found: ProposedHarness): void => {
    const kept = Object.fromEntries(
      Object.entries(stored.harness.splices).filter(([, { segmentId }]) =>
        Object.hasOwn(found.segments, segmentId),
      ),
    );
    edit({
      name: 'set-several',
      label: 'Use the proposed harness',
      changes: [
        { path: ['harness', 'splices'], value: {} },
        { path: ['harness', 'segments'], value: {} },
        { path: ['harness', 'breakouts'], value: found.breakouts },
        { path: ['harness', 'segments'], value: found.segments },
        { path: ['harness', 'splices'], value: kept },
      ],
    });
  };
  const present = results.find(harnessFigure('harness.lowerBoundRatio'))?.value;
  const settled = build.harness.segments.filter(({ locked }) => locked).length;
  switch (state.kind) {
    case 'idle':
      return (
        <button type="button" className="act" onClick={look}>
          {build.harness.segments.length === 0 ? 'Propose a harness' : 'Propose another'}
        </button>
      );
    case 'looking':
      return (
        <span className="flex items-center gap-2" role="status">
          Looking: {state.progress?.done ?? 0} of {state.progress?.of ?? 3}
          <button type="button" className="act" onClick={() => void cancelRun()}>
            Cancel
          </button>
        </span>
      );
    case 'failed':
      return (
        <span className="flex items-center gap-2" role="status">
          {state.reason}
          <button type="button" className="act" onClick={() => setState({ kind: 'idle' })}>
            Well
          </button>
        </span>
      );
    case 'found': {
      const { found } = state;
      const ratio = found.wayLength / Math.max(found.lowerBound, 1e-9);
      const isShorter = present === undefined || ratio < present;
      return (
        <section className="w-full bg-panel p-2" aria-label="Proposed harness">
          <p>
            {Object.keys(found.breakouts).length} breakouts and {Object.keys(found.segments).length}{' '}
            segments
            {settled > 0 && `, ${settled} of them settled already`}: its wires run {percent(ratio)}{' '}
            of what they would drawn straight
            {present !== undefined && `, now ${percent(present)}`}.
            {!isShorter && ' It uses more wire than the present harness.'}
          </p>
          {found.unreached.length > 0 && (
            <p className="text-signal">
              No route was found to{' '}
              {found.unreached
                .map((id) => build.placements.find((p) => p.id === id)?.name ?? id)
                .join(', ')}
              .
            </p>
          )}
          <p className="mt-1 flex gap-2">
            <button
              type="button"
              className={isShorter ? 'act act-main' : 'act'}
              onClick={() => take(found)}
            >
              Use it
            </button>
            <button type="button" className="act" onClick={() => setState({ kind: 'idle' })}>
              Leave it
            </button>
          </p>
        </section>
      );
    }
  }
}
