import {
  type Reading,
  type WorkingInput,
  entryAt,
  firstOf,
  formatMeasure,
  pathOf,
  readOrigin,
  shownKind,
} from '@brookrain/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBuild } from '../build/BuildContext.ts';
import { useWorking } from '../evaluation/useWorking.ts';
import { useUnits } from './preferences.ts';

/** Screens on which the parts of a build are entered. */
const screens: Readonly<Record<string, string>> = {
  brief: 'brief',
  fuels: 'brief',
  limits: 'brief',
  demand: 'demand',
  injectorRows: 'injectors',
  power: 'wiring',
};

/** Screen on which an input of a working is entered. */
function screenOf(origin: string): string | undefined {
  const { kind, name } = readOrigin(origin);
  if (kind !== 'document' && kind !== 'by') return undefined;
  return screens[firstOf(pathOf(name))] ?? 'circuit';
}

/** One value of a working with where it comes from; a list is one line where it has one origin. */
interface InputLine {
  readonly name: string;
  readonly value: WorkingInput['value'];
  readonly kind: WorkingInput['kind'];
  readonly from: string;
}

const MOST_ENTRIES = 12;

function linesOf(input: WorkingInput): InputLine[] {
  const { name, value, kind, from } = input;
  if (typeof from === 'string') return [{ name, value, kind, from }];
  const entries = typeof value === 'number' ? [value] : value;
  return entries
    .slice(0, MOST_ENTRIES)
    .map((entry, i) => ({ name: i === 0 ? name : '', value: entry, kind, from: entryAt(from, i) }));
}

const caseWords = (name: string): string =>
  `case ${name.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)}`;

/** Formula, inputs with links to where they come from, source, and what would change the figure. */
export function Working({ figure }: { figure: string }) {
  const [units] = useUnits();
  const { results } = useBuild();
  // Inputs that are figures themselves are opened in place; the way back is kept.
  const [opened, setOpened] = useState<readonly string[]>([]);
  const shown = opened.at(-1) ?? figure;
  const result = useWorking(shown);
  if (!result) return <p aria-busy="true">{results.keyed(shown)?.label ?? 'not solved'}</p>;
  const kind = shownKind(result.key, result.kind);
  const lines = result.working.inputs.flatMap(linesOf);
  const entered = lines.some((line) => screenOf(line.from));
  return (
    <section aria-label={`Working of ${result.label}`}>
      {opened.length > 0 && (
        <button
          type="button"
          className="mb-1 text-[13px] underline"
          onClick={() => setOpened(opened.slice(0, -1))}
        >
          Back to {results.keyed(opened.at(-2) ?? figure)?.label}
        </button>
      )}
      <h2>{result.label}</h2>
      <p className="mt-0.5 text-[17px]">{formatMeasure({ value: result.value, kind }, units, 5)}</p>
      <p className="mt-2 border-l-[3px] border-moss pl-2 font-narrow text-[14px]">
        {result.working.notation}
      </p>
      <table className="mt-2 w-full text-[13px]">
        <tbody>
          {lines.map((input, i) => (
            <tr key={`${i} ${input.from}`} className="rule align-top">
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

function Source({ input, open }: { input: InputLine; open: (key: string) => void }) {
  const { id, results } = useBuild();
  const screen = screenOf(input.from);
  if (screen) {
    return (
      <Link className="underline" to={`/builds/${id}/${screen}`}>
        change it
      </Link>
    );
  }
  const { kind, name } = readOrigin(input.from);
  if (kind === 'result' && results.keyed(name)) {
    return (
      <button type="button" className="underline" onClick={() => open(name)}>
        its working
      </button>
    );
  }
  if (kind === 'catalogue') return <>catalogue {name}</>;
  if (kind === 'case') return <>{caseWords(name)}</>;
  return <>{name === '' ? 'default' : `default, ${name}`}</>;
}

const spaced = (name: string): string =>
  name.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);

function listed(input: InputLine, units: Reading): string {
  const values = typeof input.value === 'number' ? [input.value] : input.value;
  const kind = input.kind === 'ratio' ? 'count' : input.kind;
  const shown = values.slice(0, 6).map((value) => formatMeasure({ value, kind }, units, 5));
  return shown.join(', ') + (values.length > 6 ? `, … (${values.length})` : '');
}
