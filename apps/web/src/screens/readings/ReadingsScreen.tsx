import {
  type ExpectedReading,
  type Measure,
  expectedReadings,
  firstOf,
  formatMeasure,
} from '@brookrain/core';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { CircuitTabs } from '../../ui/CircuitTabs.tsx';
import { Cautions } from '../../ui/Cautions.tsx';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';

/** A figure to be compared with an instrument in the hand. */
function Big({ name, value }: { name: string; value: string }) {
  const at = value.indexOf(' ');
  return (
    <div className="border-t-[0.75px] border-hair py-2">
      <dt className="text-[16px] text-second">{name}</dt>
      <dd className="text-[44px] leading-[50px] font-medium">
        {at < 0 ? value : value.slice(0, at)}
        {at >= 0 && <span className="text-[24px] font-normal text-second">{value.slice(at)}</span>}
      </dd>
    </div>
  );
}

function Reading({ reading }: { reading: ExpectedReading }) {
  const [units] = useUnits();
  const show = (value: number, kind: Measure['kind']): string =>
    formatMeasure({ value, kind }, units);
  const { rails, pumps } = reading;
  if (!rails) return <p className="mt-3 text-signal">This case has no solution: see findings.</p>;
  const several = rails.length > 1;
  return (
    <>
      {reading.fault && (
        <p role="note" className="mt-3 border-l-[3px] border-signal pl-3 text-[16px]">
          This is what a fault looks like. Who reads it has to look for the fault.
        </p>
      )}
      <dl className="mt-3 grid grid-cols-2 gap-x-6 min-[700px]:grid-cols-3">
        {rails.map((rail) => (
          <Big
            key={rail.railId}
            name={several ? `Gauge, ${rail.name}` : 'Gauge on the rail'}
            value={show(rail.gauge, 'pressure')}
          />
        ))}
        <Big name="Manifold" value={show(reading.manifoldGauge, 'pressure')} />
        <Big name="Injector Δp" value={show(firstOf(rails).difference, 'pressure')} />
        {reading.lambda !== undefined && (
          <Big name="λ aimed at" value={reading.lambda.toFixed(2)} />
        )}
        <Big name="Battery" value={show(reading.systemVoltage, 'voltage')} />
        {pumps?.flatMap((pump) => [
          <Big
            key={`${pump.pumpId} volts`}
            name={pumps.length > 1 ? `At the ${pump.name.toLowerCase()}` : 'At the pump'}
            value={show(pump.voltage, 'voltage')}
          />,
          <Big
            key={`${pump.pumpId} amps`}
            name={pumps.length > 1 ? `${pump.name} draws` : 'Pump draws'}
            value={show(pump.current, 'current')}
          />,
        ])}
      </dl>
    </>
  );
}

/** What gauge, meter and λ should show in the case at hand, to be read from a step away. */
export function ReadingsScreen() {
  const { fluid } = useCircuit();
  const [query, setQuery] = useSearchParams();
  const { document: build } = useBuild();
  const readings = expectedReadings(fluid);
  const reading = readings.find((r) => r.name === query.get('case')) ?? firstOf(readings);
  const choose = (name: string): void => {
    const next = new URLSearchParams(query);
    next.set('case', name);
    setQuery(next, { replace: true });
  };
  return (
    <Screen
      title="Readings"
      lead={`What the instruments on ${build.name} should show. The gauge is open to air.`}
    >
      <CircuitTabs />
      <div className="max-w-[900px]">
        <ChoiceField
          wide
          large
          label="Case at hand"
          value={reading.name}
          choices={readings.map((r) => ({
            value: r.name,
            label: r.fault ? `${r.label} (a fault)` : r.label,
          }))}
          onChoose={choose}
        />
        <Reading reading={reading} />
        <Cautions place="downloads" />
      </div>
    </Screen>
  );
}
