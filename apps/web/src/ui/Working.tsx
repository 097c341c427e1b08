import {
  type Reading,
  type Result,
  type WorkingInput,
  formatMeasure,
  shownKind,
} from '@brookrain/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBuild } from '../build/BuildContext.ts';
import { useUnits } from './preferences.ts';

/** Screen on which an input of a working is entered. */
function screenOf(from: string): string | undefined {
  if (!from.startsWith('document:')) return undefined;
  const path = from.slice('document:'.length);
  if (path.startsWith('brief') || path.startsWith('fuels') || path.startsWith('limits'))
    return 'brief';
  if (path.startsWith('demand')) return 'demand';
  if (path.startsWith('injectorRows')) return 'injectors';
  if (path.startsWith('power')) return 'wiring';
  return 'circuit';
}

const caseWords = (name: string): string =>
  `case ${name.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)}`;

/** Formula, inputs with links to where they come from, source, and what would change the figure. */
export function Working({ result: asked }: { result: Result }) {
  const [units] = useUnits();
  const { results } = useBuild();
  // Inputs that are figures themselves are opened in place; the way back is kept.
  const [opened, setOpened] = useState<readonly string[]>([]);
  const result = results.get(opened.at(-1) ?? '') ?? asked;
  const kind = shownKind(result.key, result.kind);
  const entered = result.working.inputs.some((input) => screenOf(input.from));
  return (
    <section aria-label={`Working of ${result.label}`}>
      {opened.length > 0 && (
        <button
          type="button"
          className="mb-1 text-[13px] underline"
          onClick={() => setOpened(opened.slice(0, -1))}
        >
          Back to {(results.get(opened.at(-2) ?? '') ?? asked).label}
        </button>
      )}
      <h2>{result.label}</h2>
      <p className="mt-0.5 text-[17px]">{formatMeasure({ value: result.value, kind }, units, 5)}</p>
      <p className="mt-2 border-l-[3px] border-moss pl-2 font-narrow text-[14px]">
        {result.working.notation}
      </p>
      <table className="mt-2 w-full text-[13px]">
        <tbody>
          {result.working.inputs.map((input) => (
            <tr key={input.name} className="rule align-top">
              <td className="py-0.5 pr-2 text-second">{spaced(input.name)}</td>
              <td className="py-0.5 pr-2 text-right">{listed(input, units)}</td>
              <td className="py-0.5 text-right text-second">
                <Source input={input} open={(key) => setOpened([...opened, key])} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[13px] text-second">{result.working.source}.</p>
      {!entered && (
        <p className="mt-1 text-[13px] text-second">
          It changes with the figures it is computed from.
        </p>
      )}
    </section>
  );
}

function Source({ input, open }: { input: WorkingInput; open: (key: string) => void }) {
  const { id, results } = useBuild();
  const screen = screenOf(input.from);
  if (screen) {
    return (
      <Link className="underline" to={`/builds/${id}/${screen}`}>
        change it
      </Link>
    );
  }
  const [type, rest = ''] = input.from.split(/:(.*)/s);
  const figure = type === 'result' ? results.get(rest) : undefined;
  if (figure) {
    return (
      <button type="button" className="underline" onClick={() => open(rest)}>
        its working
      </button>
    );
  }
  if (type === 'catalogue') return <>catalogue {rest}</>;
  if (type === 'case') return <>{caseWords(rest)}</>;
  return <>{type === 'default' ? `default${rest === '' ? '' : `, ${rest.trim()}`}` : rest}</>;
}

const spaced = (name: string): string =>
  name.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);

function listed(input: WorkingInput, units: Reading): string {
  const values = typeof input.value === 'number' ? [input.value] : input.value;
  const kind = input.kind === 'ratio' ? 'count' : input.kind;
  const shown = values.slice(0, 6).map((value) => formatMeasure({ value, kind }, units, 5));
  return shown.join(', ') + (values.length > 6 ? `, … (${values.length})` : '');
}
