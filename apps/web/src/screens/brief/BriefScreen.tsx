import {
  type FigureRef,
  type Fuel,
  type Result,
  aspirations,
  cycles,
  defaultCurves,
  engineFigure,
  valueUnder,
  formatMeasure,
  fromSI,
  inductionInWords,
  vehicleUses,
  writeCurve,
  writeFuel,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { useWorking } from '../../evaluation/useWorking.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { OwnWords } from '../../ui/OwnWords.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { CurveEditor } from './CurveEditor.tsx';

const named = <Value extends string>(
  values: readonly Value[],
  names: Record<string, string> = {},
) => values.map((value) => ({ value, label: names[value] ?? value }));

/** One fuel of the build: what it is, and what a blend holds. */
function FuelFields({ fuel, named }: { fuel: Fuel; named: boolean }) {
  const { edit, stored } = useBuild();
  const { id } = fuel;
  const path = ['fuels', id];
  return (
    <div className="space-y-1.5">
      <ChoiceField
        label={named ? fuel.name : 'Fuel'}
        value={fuel.kind}
        choices={[
          { value: 'petrol-ethanol', label: 'petrol blend' },
          { value: 'methanol', label: 'methanol' },
        ]}
        onChoose={(kind) => {
          const value: Fuel =
            kind === 'methanol'
              ? { id, kind, name: 'Methanol' }
              : {
                  id,
                  kind,
                  name: 'E10, summer grade',
                  ethanol: { value: 0.1, unit: '%' },
                  reidVapourPressure: { value: 60e3, unit: 'kPa' },
                  ethanolLowest: null,
                };
          edit({
            name: 'set-several',
            label: `Change fuel to ${kind}`,
            changes: [{ path, value: writeFuel(value, valueUnder(stored.fuels, id).order) }],
          });
        }}
      />
      {fuel.kind === 'petrol-ethanol' && (
        <>
          <QuantityField path={[...path, 'ethanol']} />
          <QuantityField path={[...path, 'reidVapourPressure']} />
        </>
      )}
    </div>
  );
}

/** The agreed facts and targets, with the engine's curves as the drawing. */
export function BriefScreen() {
  const { document: build, results, edit } = useBuild();
  const [units] = useUnits();
  const { brief } = build;
  const whenEmpty = (ref: FigureRef): string | undefined => {
    const result = results.find(ref);
    return result ? formatMeasure({ value: result.value, kind: result.kind }, units) : 'default';
  };
  // What applies while a field is empty is read from the working that used it.
  const byAir = useWorking(engineFigure('demand.byAir.massFlow', { at: 'peak' }).key);
  const byPower = useWorking(engineFigure('demand.byPower.peak.massFlow').key);
  const charge = useWorking(engineFigure('engine.chargeTemperature').key);
  const usual = (working: Result | undefined, name: string): string => {
    const input = working?.working.inputs.find((i) => i.name === name);
    if (typeof input?.value !== 'number') return 'usual';
    const kind = input.kind === 'ratio' && name === 'lambda' ? 'count' : input.kind;
    return formatMeasure({ value: input.value, kind }, units);
  };
  const maxSpeed = Math.ceil((brief.limiterSpeed.value * 60) / 500 + 0.5) * (500 / 60);
  return (
    <Screen
      title="Brief"
      lead="Engine, fuel, targets and climate. Type any unit; everything downstream follows."
    >
      <div className="grid grid-cols-2 gap-x-8 gap-y-4 max-[900px]:grid-cols-1">
        <CurveEditor
          title="Volumetric efficiency"
          path={['brief', 'volumetricEfficiencyCurve']}
          top={1.2}
          range={{ low: 0.2, high: 1.4 }}
          axis={{ full: 100, unit: '%' }}
          maxSpeed={maxSpeed}
        />
        {brief.boost.value > 0 ? (
          <CurveEditor
            title="Boost"
            path={['brief', 'boostCurve']}
            top={1.2}
            range={{ low: 0, high: 1.5 }}
            axis={{
              full: fromSI(brief.boost.value, 'pressure', brief.boost.unit),
              unit: brief.boost.unit,
            }}
            maxSpeed={maxSpeed}
          />
        ) : (
          <p className="self-center text-second">
            No boost in this brief: type one to draw its curve.
          </p>
        )}
      </div>
      <p className="mt-1">
        <button
          type="button"
          className="act text-[13px]"
          onClick={() => {
            const curves = defaultCurves(brief);
            edit({
              name: 'set-several',
              label: 'Use the usual curves of this engine type',
              changes: [
                {
                  path: ['brief', 'volumetricEfficiencyCurve'],
                  value: writeCurve(curves.volumetricEfficiencyCurve),
                },
                { path: ['brief', 'boostCurve'], value: writeCurve(curves.boostCurve) },
              ],
            });
          }}
        >
          Use the usual curves of this engine type
        </button>
      </p>
      <div className="rule mt-4 grid grid-cols-3 gap-x-6 gap-y-1.5 pt-3 max-[900px]:grid-cols-1">
        <section className="space-y-1.5">
          <h3>Engine</h3>
          <QuantityField path={['brief', 'displacement']} />
          <TextField path={['brief', 'cylinders']} />
          <ChoiceField
            label="Cycle"
            value={brief.cycle}
            choices={named(cycles)}
            onChoose={(value) => edit({ name: 'set', path: ['brief', 'cycle'], value })}
          />
          <ChoiceField
            label="Induction"
            value={brief.aspiration}
            choices={named(aspirations, inductionInWords)}
            onChoose={(aspiration) => edit({ name: 'choose-induction', aspiration })}
          />
          <QuantityField path={['brief', 'boost']} />
          <QuantityField path={['brief', 'idleManifoldAbsolute']} />
          <TextField path={['brief', 'firingOrder']} />
        </section>
        <section className="space-y-1.5">
          <h3>Target</h3>
          <QuantityField path={['brief', 'power']} />
          <QuantityField path={['brief', 'powerSpeed']} />
          <QuantityField path={['brief', 'limiterSpeed']} />
          <QuantityField path={['brief', 'idleSpeed']} />
          <QuantityField path={['brief', 'protectionTemperature']} />
          <QuantityField path={['brief', 'lambdaFullLoad']} whenEmpty={usual(byAir, 'lambda')} />
          <QuantityField
            path={['brief', 'specificConsumption']}
            whenEmpty={usual(byPower, 'specificConsumption')}
          />
        </section>
        <section className="space-y-1.5">
          <h3>Fuel and climate</h3>
          {build.fuels.map((fuel) => (
            <FuelFields key={fuel.id} fuel={fuel} named={build.fuels.length > 1} />
          ))}
          <QuantityField path={['brief', 'altitude']} />
          <QuantityField path={['brief', 'ambientHot']} />
          <QuantityField path={['brief', 'ambientCold']} />
          <QuantityField
            path={['brief', 'fuelTemperatureHot']}
            whenEmpty={whenEmpty(engineFigure('fuel.hottestTemperature'))}
          />
          <QuantityField
            path={['brief', 'chargeTemperature']}
            whenEmpty={whenEmpty(engineFigure('engine.chargeTemperature'))}
          />
          {brief.aspiration !== 'natural' && brief.chargeTemperature === null && (
            <QuantityField
              path={['brief', 'coolerEffectiveness']}
              whenEmpty={usual(charge, 'effectiveness')}
            />
          )}
        </section>
      </div>
      <div className="rule mt-4 grid grid-cols-3 gap-x-6 gap-y-1.5 pt-3 max-[900px]:grid-cols-1">
        <TextField path={['brief', 'vehicle']} />
        <TextField path={['brief', 'engine']} />
        <ChoiceField
          wide
          label="Use"
          value={brief.use}
          choices={named(vehicleUses, {
            'two-or-three-wheeler': 'two- or three-wheeler',
            'off-road': 'off road',
          })}
          onChoose={(value) => edit({ name: 'set', path: ['brief', 'use'], value })}
        />
        <TextField path={['name']} />
        <TextField path={['description']} />
        <OwnWords />
        <TextField path={['currency']} />
        <ChoiceField
          wide
          label="Units of this build"
          value={build.displayUnits ?? 'none'}
          choices={[
            { value: 'none', label: 'the reader’s own' },
            { value: 'metric', label: 'metric' },
            { value: 'us', label: 'US' },
            { value: 'mixed', label: 'mixed (psi, hp)' },
          ]}
          onChoose={(value) =>
            edit({
              name: 'set',
              path: ['displayUnits'],
              value: value === 'none' ? null : value,
            })
          }
        />
      </div>
      <dl className="rule mt-4 flex flex-wrap gap-x-10 gap-y-1 pt-3">
        <Fact label="Ambient pressure" figure={engineFigure('ambient.pressureAbsolute')} />
        <Fact label="Fuel density, 15 °C" figure={engineFigure('fuel.density')} />
        <Fact label="Stoichiometric ratio" figure={engineFigure('fuel.stoichAirFuelRatio')} />
        <Fact
          label="Vapour pressure, hottest fuel"
          figure={engineFigure('fuel.hot.vapourPressureAbsolute')}
        />
      </dl>
      <Cautions place="brief" />
    </Screen>
  );
}

function Fact({ label, figure }: { label: string; figure: FigureRef }) {
  return (
    <div>
      <dt className="text-[13px] text-second">{label}</dt>
      <dd>
        <Figure of={figure} digits={4} />
      </dd>
    </div>
  );
}
