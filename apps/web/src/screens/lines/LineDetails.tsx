import { type LineSheet, type ToldMadeLine, plumbingFigure, routeFigure } from '@brookrain/core';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { ClockFace } from '../../ui/ClockFace.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { EndPanel } from './EndPanel.tsx';
import { schoolWords } from './jointWords.ts';
import { useAssemblies } from './useAssembly.ts';

/** Whether a line is cut: its length and clocking are facts then. */
function AsMade({ line, sheet }: { line: ToldMadeLine; sheet: LineSheet }) {
  const { edit } = useBuild();
  const assembly = useAssemblies()(line);
  const { cut } = sheet.card;
  if (!assembly) return null;
  const path = ['assemblies', assembly.id, 'asMade'];
  return (
    <section className="rule mt-3 space-y-1.5 pt-2" aria-label="As made">
      <h3>As made</h3>
      {assembly.asMade ? (
        <>
          <FieldOf path={[...path, 'cut']} />
          <FieldOf path={[...path, 'clocking']} />
          <FigureRows
            atBench
            rows={[['Left over', plumbingFigure('line.reach', { line: line.lineId })]]}
          />
          <button
            type="button"
            className="act"
            onClick={() => edit({ name: 'set', path, value: null })}
          >
            A new one is made: not cut yet
          </button>
        </>
      ) : (
        <>
          <p className="text-second">Not cut yet. Once it is, its length is a fact.</p>
          {sheet.asCut && cut !== undefined && (
            <button
              type="button"
              className="act act-main"
              onClick={() => edit({ name: 'set', path, value: sheet.asCut })}
            >
              It is cut, to {Math.round(cut * 1e3)} mm
            </button>
          )}
        </>
      )}
    </section>
  );
}

/** Everything that is decided of one line: school, ends, slack, whether it is cut. */
export function LineDetails({ line, sheet }: { line: ToldMadeLine; sheet: LineSheet | undefined }) {
  const { edit } = useBuild();
  const assembly = useAssemblies()(line);
  const { lineId } = line;
  if (!sheet) return <p className="text-second">…</p>;
  return (
    <>
      <h2>{line.name}</h2>
      <p className="text-second">{sheet.card.hose}</p>
      <FigureRows
        atBench
        rows={[
          ['Cut length', plumbingFigure('line.cutLength', { line: lineId })],
          ['Between the seats', routeFigure('line.length', { line: lineId })],
          ['Known to ±', routeFigure('line.uncertainty', { line: lineId })],
          ['Shortens under pressure', plumbingFigure('line.shortening', { line: lineId })],
        ]}
      />
      <div className="mt-2 space-y-1.5">
        {sheet.schools.length > 0 && (
          <ChoiceField
            label="School of joint"
            value={sheet.school ?? 'none'}
            choices={sheet.schools.map(({ school }) => ({
              value: school,
              label: schoolWords[school],
            }))}
            onChoose={(school) => {
              const changes = sheet.schools.find((each) => each.school === school)?.changes;
              if (changes) {
                edit({
                  name: 'set-several',
                  label: `Make ${line.name.toLowerCase()} ${schoolWords[school]}`.slice(0, 120),
                  changes,
                });
              }
            }}
          />
        )}
        {assembly && (
          <QuantityField path={['assemblies', assembly.id, 'slack']} whenEmpty="usual" />
        )}
      </div>
      {line.ends.map((end) => (
        <EndPanel key={end.side} line={line} end={end} sheet={sheet} />
      ))}
      <ClockFace lineId={lineId} />
      <AsMade line={line} sheet={sheet} />
      <p className="rule mt-3 pt-2">
        <Link to={`../cards?of=${lineId}`}>Work card of this line</Link>
        {' · '}
        <Link to={`../map?of=line:${lineId}`}>Its route on the map</Link>
      </p>
    </>
  );
}
