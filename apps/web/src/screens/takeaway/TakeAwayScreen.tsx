import { formatMeasure, generalNotice } from '@brookrain/core';
import { Download } from 'lucide-react';
import { useBuild } from '../../build/BuildContext.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { ImportOver } from './ImportOver.tsx';

/** What goes to the vehicle and to others: sheet, lists, file; and the way back in. */
export function TakeAwayScreen() {
  const { id, evaluation } = useBuild();
  const [units] = useUnits();
  const base = `/api/builds/${encodeURIComponent(id)}`;
  const papers = [
    {
      href: `${base}/work-sheet.pdf?units=${units.system}`,
      name: 'Work sheet',
      type: 'PDF',
      words:
        'Fuel and pump circuit with cautions, expected gauge readings and room for what is measured',
    },
    {
      href: `${base}/parts.csv`,
      name: 'Parts',
      type: 'CSV',
      words: 'Every part with its length or count, and what it is for',
    },
    {
      href: `${base}/wires.csv`,
      name: 'Wires',
      type: 'CSV',
      words: 'Every wire with ends, size, length, current and fuse',
    },
    {
      href: `${base}/build.json`,
      name: 'Build file',
      type: 'JSON',
      words: 'The whole build with the catalogue items it uses; comes back in exactly',
    },
  ];
  const fluid = evaluation.fluids[0]!;
  const rail = fluid.design.circuit.elements.find((e) => e.kind === 'injectors');
  return (
    <Screen
      title="Take away"
      lead="For the vehicle, for the counter, for the record."
      inspector={
        <>
          <h2>Before any fuel flows</h2>
          <p className="mt-1 text-[13px] leading-[18px]">{generalNotice}</p>
          <Cautions place="take-away" />
        </>
      }
    >
      <ul className="border-t-[1.5px] border-ink">
        {papers.map((paper) => (
          <li key={paper.href} className="border-b-[0.75px] border-hair">
            <a
              href={paper.href}
              download
              className="grid min-h-12 grid-cols-[26px_120px_52px_1fr] items-center gap-3 px-2 py-2 hover:bg-panel"
            >
              <Download size={16} aria-hidden="true" />
              <span className="font-medium">{paper.name}</span>
              <span className="text-second">{paper.type}</span>
              <span>{paper.words}</span>
            </a>
          </li>
        ))}
      </ul>
      <section className="mt-6">
        <h2>What the gauge on the rail should read</h2>
        <table className="table-lined mt-1 w-full">
          <thead>
            <tr>
              <th>Case</th>
              <th>at the battery</th>
              <th>manifold</th>
              <th>rail gauge</th>
            </tr>
          </thead>
          <tbody>
            {Object.values(fluid.cases).map(({ point, solution }) => (
              <tr key={point.name}>
                <td>{point.label}</td>
                <td className="text-second">
                  {formatMeasure({ value: point.systemVoltage, kind: 'voltage' }, units)}
                </td>
                <td className="text-second">
                  {formatMeasure({ value: point.manifoldGauge, kind: 'pressure' }, units)}
                </td>
                <td className="font-medium">
                  {solution.state === 'converged' && rail
                    ? formatMeasure(
                        { value: solution.elements[rail.id]!.inletPressure, kind: 'pressure' },
                        units,
                      )
                    : 'not solved'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <div className="mt-6">
        <ImportOver />
      </div>
    </Screen>
  );
}
