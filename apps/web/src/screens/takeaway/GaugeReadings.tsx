import { type ToldFluid, formatMeasure, railsOf, stateOf } from '@brookrain/core';
import { useUnits } from '../../ui/preferences.ts';

/** What the gauge on the rail of a circuit should read in each named case. */
export function GaugeReadings({ fluid, named }: { fluid: ToldFluid; named: boolean }) {
  const [units] = useUnits();
  const { circuit } = fluid.design;
  const rail = railsOf(circuit)[0];
  return (
    <section className="mt-6">
      <h2>What the gauge on the rail should read{named ? `, ${circuit.name}` : ''}</h2>
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
                      { value: stateOf(solution, rail.id).inletPressure, kind: 'pressure' },
                      units,
                    )
                  : 'not solved'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
