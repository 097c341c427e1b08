import {
  type InjectorRow,
  type NumberFormat,
  type Path,
  type Quantity,
  echoQuantity,
  firstOf,
  formatMeasure,
  formatQuantity,
  matchedSet,
  parseQuantity,
} from '@brookrain/core';
import { useEffect, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { useUnits } from '../../ui/preferences.ts';

/** Flows as they were typed or pasted: one a line, or set apart by spaces or semicolons. */
function readFlows(
  text: string,
  format: NumberFormat,
): { flows: Quantity[] } | { problem: string } {
  const flows: Quantity[] = [];
  const parts = text
    .split(/[\n;\t]+/)
    .map((part) => part.trim())
    .filter(Boolean);
  for (const [i, part] of parts.entries()) {
    const parsed = parseQuantity({
      text: part,
      kind: 'volumeFlow',
      defaultUnit: 'cc/min',
      numbers: format,
    });
    if (!parsed.ok) return { problem: `line ${i + 1}: ${parsed.message}` };
    flows.push(parsed.quantity);
  }
  return { flows };
}

/** A flow in the unit the first one was typed in. */
function inTypedUnit(value: number, unit: string): string {
  const { figure } = formatQuantity({ value, kind: 'volumeFlow', unit });
  return `${figure} ${unit}`;
}

const numbers = (indices: readonly number[]): string => indices.map((i) => i + 1).join(', ');

/** Measured flows of a set: how far apart, and which belong together. */
export function MeasuredSet({ row, path }: { row: InjectorRow; path: Path }) {
  const { edit } = useBuild();
  const [units] = useUnits();
  const kept = row.measuredFlows
    .map((flow) => echoQuantity(flow, 'volumeFlow', units.numbers))
    .join('\n');
  const [text, setText] = useState(kept);
  const [message, setMessage] = useState<string>();
  useEffect(() => setText(kept), [kept]);
  const set =
    row.measuredFlows.length > 0 ? matchedSet(row.measuredFlows.map((f) => f.value)) : undefined;
  const keep = (): void => {
    const read = readFlows(text, units.numbers);
    if ('problem' in read) {
      setMessage(read.problem);
      return;
    }
    const value = Object.fromEntries(read.flows.map((flow, i) => [`${i + 1}`, flow]));
    const outcome = edit({ name: 'set', path: [...path, 'measuredFlows'], value });
    setMessage(outcome.ok ? undefined : outcome.issues[0]?.message);
  };
  return (
    <section aria-label="Measured set">
      <h2>Measured set</h2>
      <label className="text-[13px] text-second" htmlFor={`flows-${row.id}`}>
        Flow of each injector on the bench, one a line, cc/min or with its unit
      </label>
      <textarea
        id={`flows-${row.id}`}
        className="field h-auto! max-w-[360px] py-1"
        rows={Math.min(8, Math.max(4, row.count))}
        value={text}
        aria-invalid={message !== undefined}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => text !== kept && keep()}
      />
      {message && (
        <p role="alert" className="text-[13px] text-signal">
          {message}
        </p>
      )}
      {set && (
        <dl className="mt-2 max-w-[360px] space-y-1">
          <div className="flex justify-between">
            <dt>Mean</dt>
            <dd>{inTypedUnit(set.mean, firstOf(row.measuredFlows).unit)}</dd>
          </div>
          <div className="flex justify-between">
            <dt>Spread, highest to lowest</dt>
            <dd className={set.spread > 0.03 ? 'text-signal' : ''}>
              {formatMeasure({ value: set.spread, kind: 'ratio' }, units)}
            </dd>
          </div>
          {row.measuredFlows.length > 1 && (
            <>
              <div className="flex justify-between">
                <dt>One bank, other bank</dt>
                <dd>
                  {numbers(set.banks[0])} | {numbers(set.banks[1])}
                </dd>
              </div>
              <div className="flex justify-between">
                <dt>Pairs alike</dt>
                <dd>{set.pairs.map(numbers).join(' | ')}</dd>
              </div>
            </>
          )}
        </dl>
      )}
    </section>
  );
}
