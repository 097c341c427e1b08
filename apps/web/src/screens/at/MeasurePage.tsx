import { formatMeasure, harnessFigure, keyPositions } from '@brookrain/core';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { Row } from './AtParts.tsx';
import { KeptReadings, Readings } from './KeptReadings.tsx';

/** The positions of the key as they are called on a lock. */
const positions: Readonly<Record<(typeof keyPositions)[number], string>> = {
  off: 'Key off',
  acc: 'Accessories',
  run: 'Run',
  crank: 'Crank',
};

/** What is measured at the vehicle: volts of its own wires, and how long the ways really are. */
export function MeasurePage() {
  const { document: build, results } = useBuild();
  const [units] = useUnits();
  const [query] = useSearchParams();
  const signal = build.vehicleSignals.find(({ id }) => id === query.get('signal'));
  const segment = build.harness.segments.find(({ id }) => id === query.get('segment'));
  const large = 'px-4 py-3 text-[18px] [&_input]:min-h-12 [&_input]:text-[20px] [&_label]:min-h-14';
  if (signal) {
    const places = keyPositions.map((position) => ({
      path: ['vehicleSignals', signal.id, position],
      name: positions[position],
    }));
    return (
      <main className={large}>
        <h1 className="text-[24px] leading-[30px]">{signal.name}</h1>
        <p className="text-[16px] text-second">
          Black lead on the battery, everything that it feeds switched on.
        </p>
        <div className="mt-3 space-y-2">
          <KeptReadings>
            {places.map(({ path, name }) => (
              <FieldOf key={name} path={path} label={name} />
            ))}
          </KeptReadings>
        </div>
        <Readings of={places} kind="voltage" />
      </main>
    );
  }
  if (segment) {
    const path = ['harness', 'segments', segment.id, 'measured'];
    const length = results.find(harnessFigure('segment.mapLength', { segment: segment.id }));
    return (
      <main className={large}>
        <h1 className="text-[24px] leading-[30px]">{segment.name}</h1>
        <p className="text-[16px] text-second">
          With a string along its route, from the centre of one end to the centre of the other.
          {length && ` The map says ${formatMeasure(length, units)}.`}
        </p>
        <div className="mt-3">
          <KeptReadings>
            <FieldOf path={path} label="By string" />
          </KeptReadings>
        </div>
        <Readings of={[{ path, name: 'By string' }]} kind="length" />
      </main>
    );
  }
  return (
    <main>
      <h1 className="px-4 pt-3 text-[24px] leading-[30px]">Measure</h1>
      {build.vehicleSignals.length > 0 && (
        <section aria-label="Wires of the vehicle">
          <h2 className="px-4 pt-3 text-[18px]">Volts of the vehicle’s own wires</h2>
          <ul className="mt-2 border-t-[0.75px] border-hair">
            {build.vehicleSignals.map((each) => {
              const known = keyPositions.filter((position) => each[position] !== null).length;
              return (
                <Row
                  key={each.id}
                  to={`?signal=${encodeURIComponent(each.id)}`}
                  name={each.name}
                  state={known === keyPositions.length ? 'measured' : `${known} of 4`}
                />
              );
            })}
          </ul>
        </section>
      )}
      <section aria-label="Harness lengths">
        <h2 className="px-4 pt-4 text-[18px]">Harness lengths</h2>
        <ul className="mt-2 border-t-[0.75px] border-hair">
          {build.harness.segments.map(({ id, name, measured }) => (
            <Row
              key={id}
              to={`?segment=${encodeURIComponent(id)}`}
              name={name}
              state={
                measured
                  ? formatMeasure({ value: measured.value, kind: 'length' }, units)
                  : 'from the map'
              }
            />
          ))}
        </ul>
      </section>
    </main>
  );
}
