import {
  type PartSource,
  type SetAnswer,
  type SmallestLine,
  formatMeasure,
  refOf,
} from '@brookrain/core';
import { useEffect, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { useCandidates } from '../../evaluation/useCandidates.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { cancelRun, findCheapestSet } from '../../evaluation/useEvaluation.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { CircuitTabs } from '../../ui/CircuitTabs.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Supports } from '../../ui/Supports.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { ActionMenu } from '../../ui/ActionMenu.tsx';

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'running'; readonly tried: number; readonly combinations: number }
  | { readonly kind: 'done'; readonly answer: SetAnswer }
  | { readonly kind: 'failed'; readonly reason: string };

const askLines: Question<number, SmallestLine[]> = (worker, document, circuitIndex) =>
  worker.smallestLines(document, circuitIndex);

/** Parts at hand that the search may take for nothing. */
function Shelf() {
  const { document: build, catalogue, edit } = useBuild();
  const items = catalogue.items.filter((item) =>
    ['pump', 'injector', 'hose', 'filter', 'regulator'].includes(item.category),
  );
  const shelf = build.shelf;
  return (
    <section className="rule mt-4 pt-3" aria-label="On the shelf">
      <h2>On the shelf</h2>
      {shelf.length === 0 && <p className="text-second">Nothing is written down yet.</p>}
      <ul>
        {shelf.map(({ item: ref }) => (
          <li key={ref.id} className="flex items-center justify-between">
            <span>{catalogue.items.find((i) => i.id === ref.id)?.designation ?? ref.id}</span>
            <button
              type="button"
              className="act"
              aria-label={`Take ${ref.id} off the shelf`}
              onClick={() => edit({ name: 'remove', path: ['shelf', ref.id] })}
            >
              remove
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-1">
        <ActionMenu
          text="Put a part on the shelf …"
          actions={items.map((item) => ({
            value: item.id,
            label: `${item.category}: ${item.designation}`,
          }))}
          onPick={(id) => {
            const item = items.find((i) => i.id === id);
            if (item)
              edit({
                name: 'set',
                path: ['shelf', item.id],
                value: { item: refOf(item), count: 1 },
              });
          }}
        />
      </div>
    </section>
  );
}

function Answer({ answer, take }: { answer: SetAnswer; take: () => void }) {
  const [units] = useUnits();
  if (answer.state === 'none') {
    return (
      <p role="alert" className="mt-3 text-signal">
        None found: {answer.reason} ({answer.tried} tried). Lower the wish, allow other parts, or
        change the layout.
      </p>
    );
  }
  const same = answer.parts.every((part) => !part.changed);
  return (
    <>
      <table className="table-lined mt-3 w-full" aria-label="The cheapest set">
        <thead>
          <tr>
            <th>Place</th>
            <th>part</th>
            <th>price</th>
          </tr>
        </thead>
        <tbody>
          {answer.parts.map((part) => (
            <tr key={part.place}>
              <td>{part.place}</td>
              <td className={part.changed ? 'font-medium' : 'text-second'}>
                {part.designation}
                {part.changed ? '' : ', as it is'}
              </td>
              <td>{part.price.toFixed(2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2">
        Together <strong className="font-medium">{answer.price.toFixed(0)}</strong>, these places
        cost {answer.priceNow.toFixed(0)} now. Pump margin{' '}
        {formatMeasure({ value: answer.pumpMargin, kind: 'ratio' }, units)}. Every cheaper
        combination was tried ({answer.tried}) and fails a check.
      </p>
      {answer.brings.length > 0 && (
        <p className="mt-1 text-signal">
          It adds to the wiring: {[...new Set(answer.brings)].join('; ').toLowerCase()}.
        </p>
      )}
      <button type="button" className="act act-main mt-2" disabled={same} onClick={take}>
        {same ? 'The build has it already' : 'Use this set'}
      </button>
    </>
  );
}

/** Reverse questions: what the parts are good for, and the cheapest set that does it. */
export function PartsScreen() {
  const { document: build, stored, catalogue, ladder, edit } = useBuild();
  const judged = useCandidates();
  const { circuit, fluid, index } = useCircuit();
  const single = build.fuelCircuits.length === 1;
  const [units] = useUnits();
  const [margin, setMargin] = useState(build.limits.pumpMargin.value);
  const [source, setSource] = useState<PartSource>('catalogue');
  const [state, setState] = useState<State>({ kind: 'idle' });
  useEffect(() => {
    setState({ kind: 'idle' });
    return () => void cancelRun();
  }, [stored, catalogue, circuit.id]);
  const run = (): void => {
    setState({ kind: 'running', tried: 0, combinations: 0 });
    const wish = { circuitId: circuit.id, pumpMargin: margin, source };
    findCheapestSet(stored, catalogue, wish, (tried, combinations) =>
      setState((now) => (now.kind === 'running' ? { kind: 'running', tried, combinations } : now)),
    ).then(
      (answer) => setState(answer ? { kind: 'done', answer } : { kind: 'idle' }),
      (error: unknown) =>
        setState({
          kind: 'failed',
          reason: error instanceof Error ? error.message : String(error),
        }),
    );
  };
  const pumps = circuit.elements.filter((e) => e.kind === 'pump');
  const lines = useWorkerAnswer(askLines, index);
  const feedRung = ladder.rungs.find(
    (r) => r.check === 'feed-velocity' && (single || r.label.endsWith(circuit.name)),
  )?.power;
  return (
    <Screen
      title="Part selection"
      lead="What each part is good for here, the smallest that will do, and the cheapest set from catalogue or shelf."
      inspector={<Shelf />}
    >
      <CircuitTabs />
      <section aria-label="What the parts are good for">
        <h2>What they are good for</h2>
        <table className="table-lined mt-1 w-full">
          <thead>
            <tr>
              <th>Place</th>
              <th>in this build</th>
              <th>good for</th>
              <th>smallest that does it</th>
            </tr>
          </thead>
          <tbody>
            {fluid.design.rows.map((row) => {
              const list = judged?.injectors[row.row.id] ?? [];
              const own = list.find((c) => c.item.id === row.row.item.id);
              const least = [...list]
                .filter((c) => c.verdict !== 'does not fit')
                .sort((a, b) => a.item.ratedFlow - b.item.ratedFlow)[0];
              return (
                <tr key={row.row.id}>
                  <td>{row.row.name}</td>
                  <td>{own?.item.designation ?? row.row.item.id}</td>
                  <td>{own && <Supports power={own.supportsPower} />}</td>
                  <td>{least?.item.designation ?? 'none in the catalogue'}</td>
                </tr>
              );
            })}
            {pumps.map((pump) => {
              const list = judged?.pumps[pump.id] ?? [];
              const own = list.find((c) => c.item.id === pump.item.id);
              const least = [...list]
                .filter((c) => c.verdict !== 'does not fit' && (c.margin ?? -1) >= 0)
                .sort((a, b) => (a.margin ?? 0) - (b.margin ?? 0))[0];
              return (
                <tr key={pump.id}>
                  <td>{pump.name}</td>
                  <td>{own?.item.designation}</td>
                  <td>{own && <Supports power={own.supportsPower} />}</td>
                  <td>
                    {least
                      ? `${least.item.designation}, margin ${formatMeasure({ value: least.margin!, kind: 'ratio' }, units)}`
                      : 'none in the catalogue'}
                  </td>
                </tr>
              );
            })}
            {lines.answer?.map((line) => (
              <tr key={line.elementId}>
                <td>{line.name}</td>
                <td>{line.present.designation}</td>
                <td className="text-second">
                  bore {formatMeasure({ value: line.present.bore, kind: 'length' }, units)}
                </td>
                <td>
                  {line.smallest.id === line.present.id
                    ? 'this one'
                    : `${line.smallest.designation}, bore ${formatMeasure({ value: line.smallest.bore, kind: 'length' }, units)}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-1 text-[13px] text-second">
          {feedRung
            ? `Feed lines stay within their velocity to ${formatMeasure({ value: feedRung, kind: 'power' }, units)}. `
            : 'Feed lines stay within their velocity to four times the target. '}
          Smallest hose of the same family, each line by itself, that makes nothing worse.
        </p>
      </section>
      <section aria-label="Cheapest set" className="mt-6 max-w-[620px]">
        <h2>The cheapest set that holds the target</h2>
        <p className="text-[13px] text-second">
          Injectors, main pumps, the longest feed and return, fine filter and regulator together:
          nothing may stop or warn that does not now, but in the wiring, and sag stays within 3 %.
        </p>
        <div className="mt-2 grid max-w-[360px] gap-1.5">
          <QuantityInput
            label="Pump margin of at least"
            kind="ratio"
            unit="%"
            value={{ value: margin, unit: '%' }}
            store={(typed) => {
              if (!typed || typed.value < 0 || typed.value > 3) {
                return {
                  ok: false,
                  issues: [{ path: '', message: 'A margin is from 0 to 300 %' }],
                };
              }
              setMargin(typed.value);
              return { ok: true };
            }}
          />
          <ChoiceField
            label="Parts from"
            value={source}
            choices={[
              { value: 'catalogue', label: 'the catalogue' },
              { value: 'shelf', label: 'shelf and build' },
            ]}
            onChoose={setSource}
          />
        </div>
        {state.kind === 'running' ? (
          <div className="mt-3 flex items-center gap-3">
            <progress
              className="h-2 flex-1"
              style={{ accentColor: 'var(--moss)' }}
              aria-label="Combinations tried"
              max={Math.max(1, state.combinations)}
              value={state.tried}
            />
            <span className="text-[13px] text-second">
              {state.tried} of {state.combinations}
            </span>
            <button type="button" className="act" onClick={() => void cancelRun()}>
              Cancel
            </button>
          </div>
        ) : (
          <button type="button" className="act mt-3" onClick={run}>
            {state.kind === 'done' ? 'Look again' : 'Look for it'}
          </button>
        )}
        {state.kind === 'failed' && (
          <p role="alert" className="mt-2 text-signal">
            {state.reason}
          </p>
        )}
        {state.kind === 'done' && (
          <Answer
            answer={state.answer}
            take={() => state.answer.state === 'found' && edit(state.answer.command)}
          />
        )}
      </section>
    </Screen>
  );
}
