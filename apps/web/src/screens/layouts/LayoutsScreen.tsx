import {
  type Architecture,
  type JudgedCircuit,
  architectureNotes,
  firstOf,
  formatMeasure,
  layOutAs,
  otherArchitectures,
} from '@brookrain/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { CircuitTabs } from '../../ui/CircuitTabs.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { CircuitSketch } from './CircuitSketch.tsx';
import { SecondFuelForm } from './SecondFuelForm.tsx';
import { type JudgedRow, judgedRows } from './judgedRows.ts';

type About = { circuitId: string; architecture: Architecture | null };

const judge: Question<About, JudgedCircuit> = (worker, document, { circuitId, architecture }) =>
  worker.judgeCircuit(document, circuitId, architecture ?? undefined);

/** What stands against a circuit, in words. */
function Verdict({ judged }: { judged: JudgedCircuit }) {
  const list = [...judged.stops, ...judged.warnings];
  if (list.length === 0) return <p className="text-moss">✓ no findings</p>;
  return (
    <ul className="text-[13px] leading-[18px]">
      {judged.stops.map((text) => (
        <li key={text} className="text-signal">
          ◆ {text}
        </li>
      ))}
      {judged.warnings.map((text) => (
        <li key={text}>◇ {text}</li>
      ))}
    </ul>
  );
}

function Row({ row, a, b }: { row: JudgedRow; a: JudgedCircuit; b: JudgedCircuit | undefined }) {
  const [units] = useUnits();
  const { currency } = useBuild().document;
  const [left, right] = [row.read(a), b && row.read(b)];
  const read = (value: number | undefined): string =>
    value === undefined
      ? '–'
      : row.kind === 'money'
        ? `${value.toFixed(0)} ${currency}`
        : formatMeasure({ value, kind: row.kind }, units);
  const wins = (own: number | undefined, other: number | undefined): boolean =>
    row.better !== 'none' &&
    own !== undefined &&
    other !== undefined &&
    Math.abs(own - other) > 0.01 * Math.abs(other) &&
    (row.better === 'lower' ? own < other : own > other);
  const cell = (better: boolean): string => (better ? 'font-medium text-moss' : '');
  return (
    <tr>
      <td>{row.label}</td>
      <td className={cell(wins(left, right))}>{read(left)}</td>
      <td className={cell(wins(right, left))}>{read(right)}</td>
    </tr>
  );
}

/** The circuit as it is beside another way to lay it out, on the same demand. */
export function LayoutsScreen() {
  const { id, document: build, catalogue, edit } = useBuild();
  const { circuit } = useCircuit();
  const navigate = useNavigate();
  const others = otherArchitectures(circuit);
  const [picked, setPicked] = useState<Architecture>();
  const [message, setMessage] = useState<string>();
  const chosen = picked && others.includes(picked) ? picked : firstOf(others);
  const now = useWorkerAnswer(judge, { circuitId: circuit.id, architecture: null });
  const other = useWorkerAnswer(judge, { circuitId: circuit.id, architecture: chosen });
  const note = architectureNotes[chosen];
  const present = architectureNotes[circuit.architecture];
  return (
    <Screen
      title="Layouts"
      lead="The present fuel circuit beside other layouts, with the same parts where they fit and the same demand."
      inspector={
        <>
          <h2>{note.name}</h2>
          <p className="mt-1">
            <span className="text-second">Chosen when: </span>
            {note.chosenWhen}
          </p>
          <p className="mt-1">
            <span className="text-second">Gives up: </span>
            {note.givesUp}
          </p>
          <button
            type="button"
            className="act act-main mt-3 w-full text-center"
            onClick={() => {
              const outcome = edit(
                layOutAs({
                  document: build,
                  circuitId: circuit.id,
                  architecture: chosen,
                  catalogue,
                }),
              );
              setMessage(outcome.ok ? undefined : outcome.issues[0]?.message);
              if (outcome.ok) void navigate(`/builds/${id}/circuit?circuit=${circuit.id}`);
            }}
          >
            Lay it out like this
          </button>
          <p className="mt-1 text-[13px] text-second">
            Missing places are added beside the ones you have; type or measure the lengths that you
            know. Undo restores the present layout.
          </p>
          {message && (
            <p role="alert" className="mt-1 text-[13px] text-signal">
              {message}
            </p>
          )}
          <SecondFuelForm />
        </>
      }
    >
      <CircuitTabs />
      <div className="grid grid-cols-[190px_1fr] gap-5 max-[900px]:grid-cols-1">
        <div role="radiogroup" aria-label="Other layouts">
          {others.map((architecture) => (
            <button
              key={architecture}
              type="button"
              role="radio"
              aria-checked={architecture === chosen}
              className={`block w-full border-l-[3px] px-2 py-2 text-left ${architecture === chosen ? 'border-moss bg-panel font-medium' : 'border-transparent hover:bg-panel'}`}
              onClick={() => setPicked(architecture)}
            >
              {architectureNotes[architecture].name}
            </button>
          ))}
        </div>
        <div>
          {(now.failed ?? other.failed) && (
            <p role="alert" className="text-signal">
              {now.failed ?? other.failed}
            </p>
          )}
          <div className="grid grid-cols-2 gap-6">
            <div>
              <h2>As it is</h2>
              <p className="min-h-10 text-[13px] text-second">{present.name}</p>
              {now.answer && <CircuitSketch judged={now.answer} name={present.name} />}
              {now.answer && <Verdict judged={now.answer} />}
            </div>
            <div>
              <h2>Instead</h2>
              <p className="min-h-10 text-[13px] text-second">{note.name}</p>
              {other.answer && <CircuitSketch judged={other.answer} name={note.name} />}
              {other.answer && <Verdict judged={other.answer} />}
            </div>
          </div>
          {now.answer && (
            <table className="table-lined mt-4 w-full" aria-label="Side by side">
              <thead>
                <tr>
                  <th>At the design point</th>
                  <th>as it is</th>
                  <th>instead</th>
                </tr>
              </thead>
              <tbody>
                {judgedRows.map((row) => (
                  <Row key={row.label} row={row} a={now.answer!} b={other.answer} />
                ))}
              </tbody>
            </table>
          )}
        </div>
      </div>
    </Screen>
  );
}
