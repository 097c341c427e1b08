import { type CircuitElement, type Path, formatMeasure, fuelFigure } from '@brookrain/core';
import { Link } from 'react-router';
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
  route: 'along its route on the map',
  map: 'estimated from the map',
} as const;

/** What can be entered for an element besides its part. */
export function ElementFields({ element, path }: { element: CircuitElement; path: Path }) {
  const { evaluation, results, edit } = useBuild();
  const { circuit, scope } = useCircuit();
  const [units] = useUnits();
  const of = { ...scope, element: element.id };
  switch (element.kind) {
    case 'tank':
      return (
        <>
          <QuantityField path={[...path, 'fuelLevel']} />
          <QuantityField path={[...path, 'usableVolume']} />
          <QuantityField path={[...path, 'heatLoss']} />
          <QuantityField path={[...path, 'pressure']} />
          <p>
            <Link to={`../tank?circuit=${encodeURIComponent(circuit.id)}`}>
              What is in the tank and on it
            </Link>
          </p>
        </>
      );
    case 'surge-tank':
      return <QuantityField path={[...path, 'volume']} />;
    case 'orifice':
      return <QuantityField path={[...path, 'diameter']} />;
    case 'line':
      return (
        <>
          <QuantityField
            path={[...path, 'length', 'typed']}
            whenEmpty={formatMeasure(
              {
                value: results.find(fuelFigure('element.mapLength', of))?.value ?? 0,
                kind: 'length',
              },
              units,
            )}
          />
          <QuantityField path={[...path, 'length', 'measured']} whenEmpty="not yet" />
          <p className="text-[13px] text-second">
            Used: <Figure of={fuelFigure('element.length', of)} />{' '}
            {lengthWords[evaluation.lengthSources[element.id] ?? 'map']}.
          </p>
        </>
      );
    case 'pump':
      return (
        <>
          <QuantityField path={[...path, 'wear']} />
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
          onChoose={(value) => edit({ name: 'set', path: [...path, 'state'], value })}
        />
      );
    case 'regulator':
    case 'dead-head-regulator':
      return (
        <>
          <QuantityField path={[...path, 'setPressure']} />
          {element.kind === 'regulator' && <QuantityField path={[...path, 'manifoldRatio']} />}
        </>
      );
    case 'fitting':
    case 'injectors':
      return null;
  }
}
