import {
  type ExpectedReading,
  type ToldFluid,
  expectedReadings,
  formatMeasure,
} from '@brookrain/core';
import { useUnits } from '../../ui/preferences.ts';

function Table({ readings, label }: { readings: readonly ExpectedReading[]; label: string }) {
  const [units] = useUnits();
  const pressure = (value: number): string => formatMeasure({ value, kind: 'pressure' }, units);
  return (
    <table className="table-lined mt-1 w-full" aria-label={label}>
      <thead>
        <tr>
          <th>Case</th>
          <th>at the battery</th>
          <th>manifold</th>
          <th>rail gauge</th>
          <th>injector Δp</th>
          <th>λ</th>
        </tr>
      </thead>
      <tbody>
        {readings.map((reading) => {
          const rail = reading.rails?.[0];
          return (
            <tr key={reading.name}>
              <td>{reading.label}</td>
              <td className="text-second">
                {formatMeasure({ value: reading.systemVoltage, kind: 'voltage' }, units)}
              </td>
              <td className="text-second">{pressure(reading.manifoldGauge)}</td>
              <td className="font-medium">{rail ? pressure(rail.gauge) : 'not solved'}</td>
              <td>{rail ? pressure(rail.difference) : ''}</td>
              <td>{reading.lambda?.toFixed(2)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** What the gauge on the rail of a circuit should read in each case; faults apart. */
export function GaugeReadings({ fluid, named }: { fluid: ToldFluid; named: boolean }) {
  const { circuit } = fluid.design;
  const readings = expectedReadings(fluid);
  const faults = readings.filter((r) => r.fault);
  const of = named ? `, ${circuit.name}` : '';
  return (
    <section className="mt-6">
      <h2>What the gauge on the rail should read{of}</h2>
      <Table readings={readings.filter((r) => !r.fault)} label={`Expected readings${of}`} />
      {faults.length > 0 && (
        <>
          <h3 className="mt-3">What a fault looks like</h3>
          <Table readings={faults} label={`Readings of faults${of}`} />
        </>
      )}
    </section>
  );
}
