import type { CircuitElement } from '@brookrain/core';
import { formatMeasure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { PumpControlFields } from './PumpControlFields.tsx';

const lengthWords = {
  measured: 'as measured',
  typed: 'as typed',
  map: 'estimated from the map',
} as const;

/** What can be entered for an element besides its part. */
export function ElementFields({ element, path }: { element: CircuitElement; path: string }) {
  const { evaluation, results, edit } = useBuild();
  const { elementKey } = useCircuit();
  const [units] = useUnits();
  const key = elementKey(element.id);
  switch (element.kind) {
    case 'tank':
      return (
        <>
          <QuantityField
            label="Lowest fuel above outlet"
            path={`${path}.fuelLevel`}
            kind="length"
            value={element.fuelLevel}
            unit="mm"
          />
          <QuantityField
            label="Usable volume"
            path={`${path}.usableVolume`}
            kind="volume"
            value={element.usableVolume}
            unit="L"
          />
          <QuantityField
            label="Pressure in the tank"
            path={`${path}.pressure`}
            kind="pressure"
            value={element.pressure}
            unit="kPa"
          />
        </>
      );
    case 'surge-tank':
      return (
        <QuantityField
          label="Volume"
          path={`${path}.volume`}
          kind="volume"
          value={element.volume}
          unit="L"
        />
      );
    case 'orifice':
      return (
        <QuantityField
          label="Hole"
          path={`${path}.diameter`}
          kind="length"
          value={element.diameter}
          unit="mm"
        />
      );
    case 'line':
      return (
        <>
          <QuantityField
            label="Length, typed"
            path={`${path}.length.typed`}
            kind="length"
            value={element.length.typed}
            unit="m"
            whenEmpty={formatMeasure(
              { value: results.get(`${key}.mapLength`)?.value ?? 0, kind: 'length' },
              units,
            )}
          />
          <QuantityField
            label="Length, measured"
            path={`${path}.length.measured`}
            kind="length"
            value={element.length.measured}
            unit="m"
            whenEmpty="not yet"
          />
          <p className="text-[13px] text-second">
            Used: <Figure of={`${key}.length`} />{' '}
            {lengthWords[evaluation.lengthSources[element.id] ?? 'map']}.
          </p>
        </>
      );
    case 'pump':
      return (
        <>
          <QuantityField
            label="Wear"
            path={`${path}.wear`}
            kind="ratio"
            value={element.wear}
            unit="%"
          />
          <PumpControlFields element={element} path={path} />
        </>
      );
    case 'filter':
    case 'filter-regulator':
      return (
        <ChoiceField
          label="State"
          value={element.state}
          choices={[
            { value: 'clean', label: 'clean' },
            { value: 'loaded', label: 'loaded' },
          ]}
          onChoose={(value) => edit({ name: 'set', path: `${path}.state`, value })}
        />
      );
    case 'regulator':
    case 'dead-head-regulator':
      return (
        <>
          <QuantityField
            label="Set pressure"
            path={`${path}.setPressure`}
            kind="pressure"
            value={element.setPressure}
            unit="kPa"
          />
          {element.kind === 'regulator' && (
            <QuantityField
              label="Manifold reference"
              path={`${path}.manifoldRatio`}
              kind="ratio"
              value={element.manifoldRatio}
              unit=""
            />
          )}
        </>
      );
    default:
      return null;
  }
}
