import {
  type Fuel,
  aspirations,
  cycles,
  defaultCurves,
  formatMeasure,
  fromSI,
  vehicleUses,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { CurveEditor } from './CurveEditor.tsx';

const named = <Value extends string>(
  values: readonly Value[],
  names: Record<string, string> = {},
) => values.map((value) => ({ value, label: names[value] ?? value }));

/** One fuel of the build: what it is, and what a blend holds. */
function FuelFields({ fuel, index, named }: { fuel: Fuel; index: number; named: boolean }) {
  const { edit } = useBuild();
  const path = `fuels.${index}`;
  const { id } = fuel;
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
            changes: [{ path, value }],
          });
        }}
      />
      {fuel.kind === 'petrol-ethanol' && (
        <>
          <QuantityField
            label="Ethanol by volume"
            path={`${path}.ethanol`}
            kind="ratio"
            value={fuel.ethanol}
            unit="%"
          />
          <QuantityField
            label="Vapour pressure (Reid)"
            path={`${path}.reidVapourPressure`}
            kind="pressure"
            value={fuel.reidVapourPressure}
            unit="kPa"
          />
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
  const whenEmpty = (key: string): string | undefined => {
    const result = results.get(key);
    return result ? formatMeasure({ value: result.value, kind: result.kind }, units) : 'default';
  };
  // What applies while a field is empty is read from the working that used it.
  const usual = (key: string, name: string): string => {
    const input = results.get(key)?.working.inputs.find((i) => i.name === name);
    if (typeof input?.value !== 'number') return 'usual';
    const kind = input.kind === 'ratio' ? 'count' : input.kind;
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
          path="brief.volumetricEfficiencyCurve"
          points={brief.volumetricEfficiencyCurve}
          top={1.2}
          range={{ low: 0.2, high: 1.4 }}
          axis={{ full: 100, unit: '%' }}
          maxSpeed={maxSpeed}
        />
        {brief.boost.value > 0 ? (
          <CurveEditor
            title="Boost"
            path="brief.boostCurve"
            points={brief.boostCurve}
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
              label: 'Take the usual curves of this engine type',
              changes: [
                {
                  path: 'brief.volumetricEfficiencyCurve',
                  value: curves.volumetricEfficiencyCurve,
                },
                { path: 'brief.boostCurve', value: curves.boostCurve },
              ],
            });
          }}
        >
          Take the usual curves of this engine type
        </button>
      </p>
      <div className="rule mt-4 grid grid-cols-3 gap-x-6 gap-y-1.5 pt-3 max-[900px]:grid-cols-1">
        <section className="space-y-1.5">
          <h3>Engine</h3>
          <QuantityField
            label="Displacement"
            path="brief.displacement"
            kind="volume"
            value={brief.displacement}
            unit="L"
          />
          <TextField label="Cylinders" path="brief.cylinders" value={brief.cylinders} number />
          <ChoiceField
            label="Cycle"
            value={brief.cycle}
            choices={named(cycles)}
            onChoose={(value) => edit({ name: 'set', path: 'brief.cycle', value })}
          />
          <ChoiceField
            label="Induction"
            value={brief.aspiration}
            choices={named(aspirations, { natural: 'natural', turbo: 'turbocharged' })}
            onChoose={(value) => edit({ name: 'set', path: 'brief.aspiration', value })}
          />
          <QuantityField
            label="Boost, gauge"
            path="brief.boost"
            kind="pressure"
            value={brief.boost}
            unit="bar"
          />
          <QuantityField
            label="Manifold at idle, absolute"
            path="brief.idleManifoldAbsolute"
            kind="pressure"
            value={brief.idleManifoldAbsolute}
            unit="kPa"
          />
        </section>
        <section className="space-y-1.5">
          <h3>Target</h3>
          <QuantityField
            label="Power"
            path="brief.power"
            kind="power"
            value={brief.power}
            unit="kW"
          />
          <QuantityField
            label="at engine speed"
            path="brief.powerSpeed"
            kind="rotation"
            value={brief.powerSpeed}
            unit="rpm"
          />
          <QuantityField
            label="Limiter"
            path="brief.limiterSpeed"
            kind="rotation"
            value={brief.limiterSpeed}
            unit="rpm"
          />
          <QuantityField
            label="Idle"
            path="brief.idleSpeed"
            kind="rotation"
            value={brief.idleSpeed}
            unit="rpm"
          />
          <QuantityField
            label="λ at full load"
            path="brief.lambdaFullLoad"
            kind="ratio"
            value={brief.lambdaFullLoad}
            unit=""
            whenEmpty={usual('demand.byAir.peak.massFlow', 'lambda')}
          />
          <QuantityField
            label="Consumption on petrol"
            path="brief.specificConsumption"
            kind="specificConsumption"
            value={brief.specificConsumption}
            unit="g/kWh"
            whenEmpty={usual('demand.byPower.peak.massFlow', 'specificConsumption')}
          />
        </section>
        <section className="space-y-1.5">
          <h3>Fuel and climate</h3>
          {build.fuels.map((fuel, i) => (
            <FuelFields key={fuel.id} fuel={fuel} index={i} named={build.fuels.length > 1} />
          ))}
          <QuantityField
            label="Altitude"
            path="brief.altitude"
            kind="length"
            value={brief.altitude}
            unit="m"
          />
          <QuantityField
            label="Hot day"
            path="brief.ambientHot"
            kind="temperature"
            value={brief.ambientHot}
            unit="°C"
          />
          <QuantityField
            label="Hottest fuel"
            path="brief.fuelTemperatureHot"
            kind="temperature"
            value={brief.fuelTemperatureHot}
            unit="°C"
            whenEmpty={whenEmpty('fuel.hottestTemperature')}
          />
          <QuantityField
            label="Charge air"
            path="brief.chargeTemperature"
            kind="temperature"
            value={brief.chargeTemperature}
            unit="°C"
            whenEmpty={whenEmpty('engine.chargeTemperature')}
          />
        </section>
      </div>
      <div className="rule mt-4 grid grid-cols-3 gap-x-6 gap-y-1.5 pt-3 max-[900px]:grid-cols-1">
        <TextField label="Vehicle" path="brief.vehicle" value={brief.vehicle} />
        <TextField label="Engine" path="brief.engine" value={brief.engine} />
        <ChoiceField
          wide
          label="Use"
          value={brief.use}
          choices={named(vehicleUses, {
            'two-or-three-wheeler': 'two- or three-wheeler',
            'off-road': 'off road',
          })}
          onChoose={(value) => edit({ name: 'set', path: 'brief.use', value })}
        />
        <TextField label="Name of the build" path="name" value={build.name} />
        <TextField label="In a few words" path="description" value={build.description} />
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
              path: 'displayUnits',
              value: value === 'none' ? null : value,
            })
          }
        />
      </div>
      <dl className="rule mt-4 flex flex-wrap gap-x-10 gap-y-1 pt-3">
        <Fact label="Ambient pressure" figure="ambient.pressureAbsolute" />
        <Fact label="Fuel density, 15 °C" figure="fuel.density" />
        <Fact label="Stoichiometric ratio" figure="fuel.stoichAirFuelRatio" />
        <Fact label="Vapour pressure, hottest fuel" figure="fuel.vapourPressureAbsolute" />
      </dl>
      <Cautions place="brief" />
    </Screen>
  );
}

function Fact({ label, figure }: { label: string; figure: string }) {
  return (
    <div>
      <dt className="text-[13px] text-second">{label}</dt>
      <dd>
        <Figure of={figure} digits={4} />
      </dd>
    </div>
  );
}
