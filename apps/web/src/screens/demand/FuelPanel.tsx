import { type Fuel, type Path, type FuelComparison, formatMeasure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { useUnits } from '../../ui/preferences.ts';

const ask: Question<null, FuelComparison[] | undefined> = (worker, document) =>
  worker.compareFuels(document);

/** What can be set of the fuels, and the first one beside the usual others. */
export function FuelPanel() {
  const { document: build } = useBuild();
  const [units] = useUnits();
  const { answer, failed } = useWorkerAnswer(ask, null);
  const read = (value: number | undefined, kind: Parameters<typeof formatMeasure>[0]['kind']) =>
    value === undefined || Number.isNaN(value) ? '–' : formatMeasure({ value, kind }, units);
  return (
    <section className="mt-6" aria-label="Fuels compared">
      <h2>Other fuels in this build</h2>
      <p className="text-[13px] text-second">
        Each fuel in the first circuit with everything else as it is. Range on the usable volume at
        the cruise point; size for the most ethanol, correct for what is in the tank.
      </p>
      {failed && (
        <p role="alert" className="text-signal">
          {failed}
        </p>
      )}
      {answer && (
        <table className="table-lined mt-2 w-full" aria-label="Fuels compared">
          <thead>
            <tr>
              <th>Fuel</th>
              <th className="max-[640px]:hidden">air : fuel</th>
              <th className="max-[640px]:hidden">peak need</th>
              <th className="max-[640px]:hidden">consumption</th>
              <th>range</th>
              <th>highest duty</th>
              <th>pump margin</th>
              <th>stops</th>
            </tr>
          </thead>
          <tbody>
            {answer.map((fuel) => (
              <tr key={fuel.label} className={fuel.present ? 'bg-panel font-medium' : ''}>
                <td>{fuel.label}</td>
                <td className="max-[640px]:hidden">{fuel.stoichAirFuelRatio.toFixed(2)}</td>
                <td className="max-[640px]:hidden">{read(fuel.peakMassFlow, 'massFlow')}</td>
                <td className="max-[640px]:hidden">
                  {read(fuel.perDistance, 'volumePerDistance')}
                </td>
                <td className="whitespace-nowrap">
                  {read(fuel.range, 'distance')}
                  {!fuel.present && (
                    <span className="text-second">
                      {' '}
                      {fuel.rangeRatio >= 1 ? '+' : '−'}
                      {Math.abs(Math.round(100 * (fuel.rangeRatio - 1)))} %
                    </span>
                  )}
                </td>
                <td>{read(fuel.duty, 'ratio')}</td>
                <td>{read(fuel.pumpMargin, 'ratio')}</td>
                <td className={fuel.stops > 0 ? 'text-signal' : 'text-moss'}>
                  {fuel.stops > 0 ? fuel.stops : '✓ none'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="mt-4 grid max-w-[760px] grid-cols-2 gap-x-8 gap-y-1.5 max-[900px]:grid-cols-1">
        <QuantityField path={['brief', 'cruisePower']} whenEmpty="by the cruise case" />
        <QuantityField path={['brief', 'cruiseRoadSpeed']} />
        {build.fuels.map((fuel) => (
          <SeasonField key={fuel.id} fuel={fuel} path={['fuels', fuel.id]} />
        ))}
      </div>
    </section>
  );
}

/** The least ethanol of the year; nothing for a fuel without any. */
function SeasonField({ fuel, path }: { fuel: Fuel; path: Path }) {
  if (fuel.kind === 'methanol') return null;
  return <QuantityField path={[...path, 'ethanolLowest']} whenEmpty="the same all year" />;
}
