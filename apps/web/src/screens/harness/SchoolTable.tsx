import { type ComparedSchool, type HarnessSchool, formatMeasure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { useUnits } from '../../ui/preferences.ts';

const ask: Question<string, readonly ComparedSchool[] | undefined> = (worker, document) =>
  worker.harnessSchools(document);

/** The same harness in every school, side by side. */
export function SchoolTable({ words }: { words: Readonly<Record<HarnessSchool, string>> }) {
  const { document: build, edit } = useBuild();
  const [units] = useUnits();
  const { answer: schools } = useWorkerAnswer(ask, '');
  const named = (school: ComparedSchool['school']): string =>
    school === 'bought' ? 'Bought and adapted' : words[school];
  if (!schools || build.harness.segments.length === 0) return null;
  const rows: readonly (readonly [string, (school: ComparedSchool) => string])[] = [
    ['Wire', (s) => formatMeasure({ value: s.copperLength, kind: 'length' }, units)],
    ['Mass', (s) => formatMeasure({ value: s.mass, kind: 'mass' }, units)],
    ['Material', (s) => `${s.price.toFixed(0)} ${build.currency}`],
    ['Work', (s) => formatMeasure({ value: s.hours, kind: 'workTime' }, units)],
    ['Thickest', (s) => formatMeasure({ value: s.thickest, kind: 'length' }, units)],
    ['Changed afterwards', (s) => s.serviceability],
    [
      'No cover fits',
      (s) =>
        s.uncovered === 0 ? '–' : `${s.uncovered} ${s.uncovered === 1 ? 'segment' : 'segments'}`,
    ],
  ];
  return (
    <section className="mt-4" aria-label="Ways of building it">
      <h2>Ways of building it</h2>
      <div className="overflow-x-auto">
        <table className="w-full text-left">
          <thead>
            <tr>
              <th />
              {schools.map(({ school, chosen }) => (
                <th key={school} className="px-2 py-1 font-medium" aria-current={chosen}>
                  {named(school)}
                  {chosen && <span className="text-moss"> · chosen</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([name, cell]) => (
              <tr key={name} className="border-t border-hair">
                <th className="py-1 pr-2 font-normal text-second">{name}</th>
                {schools.map((school) => (
                  <td key={school.school} className="px-2 py-1">
                    {cell(school)}
                  </td>
                ))}
              </tr>
            ))}
            <tr className="border-t border-hair">
              <th />
              {schools.map(({ school }) => (
                <td key={school} className="px-2 py-1">
                  {school !== 'bought' && school !== build.harness.school && (
                    <button
                      type="button"
                      className="act"
                      onClick={() =>
                        edit({ name: 'set', path: ['harness', 'school'], value: school })
                      }
                    >
                      Build it so
                    </button>
                  )}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-[13px] text-second">
        {build.harness.bought.length === 0
          ? 'Enter a bought loom to see it beside these. '
          : 'The others are made without bought looms. '}
        Sealed and laid in layers is the toughest and keeps water out; it cannot be changed later
        and has to be right the first time.
      </p>
    </section>
  );
}
