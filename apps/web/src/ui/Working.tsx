import { type Result, type WorkingInput, formatMeasure, shownKind } from '@brookrain/core';
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

const sourceWords = (from: string): string => {
  const [type, rest = ''] = from.split(/:(.*)/s);
  if (type === 'document') return 'entered';
  if (type === 'catalogue') return `catalogue ${rest}`;
  if (type === 'case') return `case ${rest}`;
  if (type === 'default') return 'default';
  return rest;
};

/** Formula, inputs with where they come from, source, and what would change the figure. */
export function Working({ result }: { result: Result }) {
  const [units] = useUnits();
  const { id } = useBuild();
  const kind = shownKind(result.key, result.kind);
  const entered = result.working.inputs
    .map((input) => screenOf(input.from))
    .filter((screen) => screen !== undefined);
  return (
    <section aria-label={`Working of ${result.label}`}>
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
                <Source id={id} input={input} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[13px] text-second">{result.working.source}.</p>
      {entered.length === 0 && (
        <p className="mt-1 text-[13px] text-second">
          It changes with the figures it is computed from.
        </p>
      )}
    </section>
  );
}

function Source({ id, input }: { id: string; input: WorkingInput }) {
  const screen = screenOf(input.from);
  if (!screen) return <>{sourceWords(input.from)}</>;
  return (
    <Link className="underline" to={`/builds/${id}/${screen}`}>
      change it
    </Link>
  );
}

const spaced = (name: string): string =>
  name.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);

function listed(input: WorkingInput, units: 'metric' | 'us'): string {
  const values = typeof input.value === 'number' ? [input.value] : input.value;
  const kind = input.kind === 'ratio' ? 'count' : input.kind;
  const shown = values.slice(0, 6).map((value) => formatMeasure({ value, kind }, units, 5));
  return shown.join(', ') + (values.length > 6 ? `, … (${values.length})` : '');
}
