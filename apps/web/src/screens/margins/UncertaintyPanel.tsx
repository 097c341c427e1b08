import { type Uncertainty, formatMeasure, uncertainInputs } from '@brookrain/core';
import { useEffect, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { cancelRun, runUncertainty } from '../../evaluation/useEvaluation.ts';
import { useUnits } from '../../ui/preferences.ts';

const DRAWS = 2000;
const SEED = 1;

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'running'; readonly done: number }
  | { readonly kind: 'done'; readonly outcome: Uncertainty }
  | { readonly kind: 'failed'; readonly reason: string };

function Outcome({ outcome }: { outcome: Uncertainty }) {
  const [units] = useUnits();
  const share = (value: number): string => formatMeasure({ value, kind: 'ratio' }, units);
  return (
    <>
      <p className="mt-1">
        Pressure holds at peak in <strong className="font-medium">{share(outcome.holds)}</strong> of{' '}
        {outcome.draws} draws. Nine in ten have a sag between {share(outcome.sag.low)} and{' '}
        {share(outcome.sag.high)}.
      </p>
      <table className="mt-2 w-full text-[13px]" aria-label="What matters most">
        <tbody>
          {outcome.causes.map(({ id, correlation }) => {
            const input = uncertainInputs.find((i) => i.id === id)!;
            return (
              <tr key={id} className="rule">
                <td className="w-[130px] py-1">{input.label}</td>
                <td className="w-[70px] py-1 text-right text-second">{input.spread}</td>
                <td className="px-3 py-1">
                  <svg viewBox="0 0 200 12" className="h-3 w-full" aria-hidden="true">
                    <line x1="100" x2="100" y1="0" y2="12" stroke="var(--edge)" strokeWidth="1.5" />
                    <rect
                      x={100 + Math.min(0, 100 * correlation)}
                      y="2"
                      width={Math.max(1, Math.abs(100 * correlation))}
                      height="8"
                      fill={correlation > 0 ? 'var(--signal)' : 'var(--moss)'}
                    />
                  </svg>
                </td>
                <td className="w-[110px] py-1 text-right">
                  {Math.abs(correlation) < 0.05
                    ? 'hardly matters'
                    : correlation > 0
                      ? 'more is worse'
                      : 'more is better'}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

/** How sure it is that pressure holds at peak, when nothing is known exactly. */
export function UncertaintyPanel() {
  const { stored: build, catalogue } = useBuild();
  const [state, setState] = useState<State>({ kind: 'idle' });
  // Another design: what was drawn for the one before is no answer any more.
  useEffect(() => {
    setState({ kind: 'idle' });
    return () => void cancelRun();
  }, [build, catalogue]);
  const run = (): void => {
    setState({ kind: 'running', done: 0 });
    runUncertainty(build, catalogue, { draws: DRAWS, seed: SEED }, (done) =>
      setState((now) => (now.kind === 'running' ? { kind: 'running', done } : now)),
    ).then(
      (outcome) => setState(outcome ? { kind: 'done', outcome } : { kind: 'idle' }),
      (error: unknown) =>
        setState({
          kind: 'failed',
          reason: error instanceof Error ? error.message : String(error),
        }),
    );
  };
  return (
    <section aria-label="How sure is it" className="rule mt-4 pt-3">
      <h2>How sure is it?</h2>
      <p className="text-[13px] text-second">
        Demand, pump, bores, losses, fuel temperature and voltage are drawn around what you entered;
        no design factor, no wear, running voltage.
      </p>
      {state.kind === 'running' ? (
        <div className="mt-2 flex items-center gap-3">
          <progress
            className="h-2 flex-1"
            style={{ accentColor: 'var(--moss)' }}
            aria-label="Draws done"
            max={DRAWS}
            value={state.done}
          />
          <span className="text-[13px] text-second">
            {state.done} of {DRAWS}
          </span>
          <button type="button" className="act" onClick={() => void cancelRun()}>
            Cancel
          </button>
        </div>
      ) : (
        <button type="button" className="act mt-2" onClick={run}>
          {state.kind === 'done' ? 'Draw again' : `Draw ${DRAWS} times`}
        </button>
      )}
      {state.kind === 'failed' && (
        <p role="alert" className="mt-2 text-signal">
          {state.reason}
        </p>
      )}
      {state.kind === 'done' && <Outcome outcome={state.outcome} />}
    </section>
  );
}
