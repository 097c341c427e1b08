import { type SchoolComparison, type SchoolFigures, formatMeasure } from '@brookrain/core';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';

const ask: Question<null, readonly SchoolComparison[] | undefined> = (worker, document) =>
  worker.compareSchools(document);
const lead =
  'The same vehicle switched by relays and fuses, by a power module, or by the kept fuse box: each calculated on the whole build.';

type Row = readonly [label: string, cell: (figures: SchoolFigures) => string];

/** What is compared, line by line. */
function useRows(): readonly Row[] {
  const { document: build } = useBuild();
  const [units] = useUnits();
  const measure = (value: number, kind: 'mass' | 'length') => formatMeasure({ value, kind }, units);
  return [
    ['Electric parts to buy', ({ price }) => `${price.toFixed(0)} ${build.currency}`],
    ['Their mass', ({ mass }) => measure(mass, 'mass')],
    ['Wires', ({ wires }) => String(wires)],
    ['Wire, all together', ({ wireLength }) => measure(wireLength, 'length')],
    ['Relays', ({ relays }) => String(relays)],
    ['Fuses', ({ fuses }) => String(fuses)],
    [
      'One relay or box that fails stops at most',
      ({ worst }) => (worst ? `${String(worst.stops.length)}, with ${worst.name}` : 'nothing'),
    ],
    ['Failures that leave a pump running', ({ pumpRunsOn }) => String(pumpRunsOn)],
    ['Stops', ({ stops }) => String(stops)],
    ['Warnings', ({ warnings }) => String(warnings)],
  ];
}

/** The schools of switching side by side on this build; one of them is taken at a press. */
export function SchoolsScreen() {
  const { id, edit } = useBuild();
  const work = useWorkerAnswer(ask, null);
  const { answer } = work;
  const rows = useRows();
  return (
    <Screen title="Relays or power module" lead={lead} work={work}>
      {answer && (
        <div className="overflow-x-auto">
          <table className="table-lined w-full" aria-label="Schools of switching">
            <thead>
              <tr>
                <th />
                {answer.map((school) => (
                  <th key={school.id} scope="col" className="text-right">
                    {school.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(([label, cell]) => (
                <tr key={label}>
                  <th scope="row">{label}</th>
                  {answer.map((school) => (
                    <td key={school.id} className="text-right">
                      {school.possible ? cell(school.figures) : '–'}
                    </td>
                  ))}
                </tr>
              ))}
              <tr>
                <th scope="row">To use it</th>
                {answer.map((school) => (
                  <td key={school.id} className="text-right align-top">
                    {!school.possible && <span className="text-second">{school.reason}</span>}
                    {school.possible && school.changes.length === 0 && 'is so'}
                    {school.possible && school.changes.length > 0 && (
                      <button
                        type="button"
                        className="act"
                        onClick={() =>
                          edit({
                            name: 'set-several',
                            label: school.name,
                            changes: [...school.changes],
                          })
                        }
                      >
                        Use it: {school.name}
                      </button>
                    )}
                  </td>
                ))}
              </tr>
            </tbody>
          </table>
        </div>
      )}
      <p className="mt-3 max-w-[720px] text-[13px] text-second">
        A build may mix them: fit a module, then move what the engine needs back to relays. What
        each single failure stops is on{' '}
        <Link className="underline" to={`/builds/${encodeURIComponent(id)}/supply`}>
          Supply
        </Link>
        . One undo takes the whole school back.
      </p>
    </Screen>
  );
}
