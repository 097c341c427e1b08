import {
  type Path,
  type PumpControl,
  type PumpElement,
  firstOf,
  formatMeasure,
  fuelFigure,
  quantity,
  railsOf,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { useUnits } from '../../ui/preferences.ts';

type Way = 'always' | 'demand' | 'steps' | 'pressure';

const wayOf = (control: PumpControl | null): Way =>
  control === null
    ? 'always'
    : control.kind === 'pressure'
      ? 'pressure'
      : control.lowShare.value === 0
        ? 'demand'
        : 'steps';

/** How a pump is driven: always full, on demand, in two steps, or by rail pressure. */
export function PumpControlFields({ element, path }: { element: PumpElement; path: Path }) {
  const { edit, results } = useBuild();
  const { circuit, fluid, scope } = useCircuit();
  const [units] = useUnits();
  const { control } = element;
  const share =
    fluid.cases.cruise.solution.state === 'converged'
      ? fluid.cases.cruise.solution.pumps[element.id]?.share
      : undefined;
  const choose = (way: Way): void => {
    const need = results.find(fuelFigure('pumps.flowNeeded', scope))?.value ?? 100e-3 / 3600;
    const flow = (value: number) => quantity(Math.round(value * 3.6e6), 'volumeFlow', 'L/h');
    const stepped = (percent: number): PumpControl => ({
      kind: 'stepped',
      lowShare: quantity(percent, 'ratio', '%'),
      above: flow(0.4 * need),
      below: flow(0.32 * need),
    });
    const regulator = circuit.elements.find((e) => e.kind === 'regulator');
    const value: PumpControl | null =
      way === 'always'
        ? null
        : way === 'demand'
          ? stepped(0)
          : way === 'steps'
            ? stepped(65)
            : {
                kind: 'pressure',
                sensorNode: firstOf(railsOf(circuit)).node,
                target:
                  regulator?.kind === 'regulator'
                    ? regulator.setPressure
                    : quantity(300, 'pressure', 'kPa'),
                manifoldRatio: quantity(1, 'ratio', ''),
                leastShare: quantity(35, 'ratio', '%'),
              };
    edit({ name: 'set', path: [...path, 'control'], value });
  };
  return (
    <>
      <ChoiceField
        label="Runs"
        value={wayOf(control)}
        choices={[
          { value: 'always', label: 'always, full' },
          { value: 'demand', label: 'on demand' },
          { value: 'steps', label: 'in two steps' },
          { value: 'pressure', label: 'by pressure' },
        ]}
        onChoose={choose}
      />
      {control?.kind === 'stepped' && (
        <>
          {control.lowShare.value > 0 && <QuantityField path={[...path, 'control', 'lowShare']} />}
          <QuantityField path={[...path, 'control', 'above']} />
          <QuantityField path={[...path, 'control', 'below']} />
        </>
      )}
      {control?.kind === 'pressure' && (
        <>
          <QuantityField path={[...path, 'control', 'target']} />
          <QuantityField path={[...path, 'control', 'manifoldRatio']} />
          <QuantityField path={[...path, 'control', 'leastShare']} />
          {share !== undefined && (
            <p className="text-[13px] text-second">
              At cruise it runs on {formatMeasure({ value: share, kind: 'ratio' }, units)} of the
              voltage.
            </p>
          )}
        </>
      )}
    </>
  );
}
