import {
  type CircuitOperation,
  type OperatingPoint,
  type OperatingQuantity,
  entryAt,
  formatMeasure,
  operatingQuantities,
  runOf,
  stateOf,
} from '@brookrain/core';
import { useEffect, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { Screen } from '../../ui/Screen.tsx';
import { type MapCell, SpeedLoadMap } from '../../ui/SpeedLoadMap.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { useOperatingMap, useOperatingPoint } from './useOperatingMap.ts';
import { Select } from '../../ui/Select.tsx';

type Quantity = (typeof operatingQuantities)[number];

/** Shade of a value between the best and the worst of its table. */
function shadeOf(table: CircuitOperation['tables'][OperatingQuantity], worse: Quantity['worse']) {
  const values = table.flat().filter((value) => value !== null);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const range = most - least || 1;
  return (value: number): number =>
    worse === 'higher' ? (value - least) / range : (most - value) / range;
}

const beyondOf = (limit: number | null, worse: Quantity['worse']) => (value: number) =>
  limit !== null && (worse === 'higher' ? value > limit : value < limit);

function PointSolution({ shown }: { shown: OperatingPoint }) {
  const [units] = useUnits();
  const { circuit, density, point, values, solution } = shown;
  const read = (
    value: number | null | undefined,
    kind: Quantity['kind'] | 'volumeFlow' | 'voltage' | 'current',
  ) => (value === null || value === undefined ? '–' : formatMeasure({ value, kind }, units));
  const pumps = solution.state === 'converged' ? Object.values(solution.pumps) : [];
  return (
    <>
      <h2>{Math.round(point.speed * 60)} rpm</h2>
      <p className="text-[13px] text-second">
        Manifold {read(point.manifoldGauge, 'pressure')} gauge,{' '}
        {formatMeasure({ value: point.massFlow, kind: 'massFlow' }, units)} of fuel with the design
        factor, {read(point.systemVoltage, 'voltage')} at the battery.
      </p>
      <dl className="mt-2">
        {operatingQuantities.map((q) => (
          <div key={q.id} className="rule flex justify-between gap-2 py-1">
            <dt>{q.label}</dt>
            <dd>{read(values[q.id], q.kind)}</dd>
          </div>
        ))}
        {pumps.map((pump) => (
          <div key={pump.elementId} className="rule flex justify-between gap-2 py-1">
            <dt>{circuit.elements.find((e) => e.id === pump.elementId)?.name}</dt>
            <dd>
              {read(pump.flow, 'volumeFlow')}, {read(pump.voltage, 'voltage')},{' '}
              {read(pump.current, 'current')}
            </dd>
          </div>
        ))}
      </dl>
      {solution.state === 'failed' ? (
        <p role="alert" className="mt-2 text-signal">
          {solution.reason}
        </p>
      ) : (
        <table className="mt-3 w-full text-[13px]" aria-label="Along the run">
          <thead>
            <tr className="text-second">
              <th className="text-left font-normal">Along the run</th>
              <th className="text-right font-normal">flow</th>
              <th className="text-right font-normal">after it</th>
            </tr>
          </thead>
          <tbody>
            {runOf(circuit).map((element) => {
              const state = stateOf(solution, element.id);
              return (
                <tr key={element.id} className="rule">
                  <td className="py-0.5">{element.name}</td>
                  <td className="py-0.5 text-right">
                    {read(state.massFlow / density, 'volumeFlow')}
                  </td>
                  <td className="py-0.5 text-right">{read(state.outletPressure, 'pressure')}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </>
  );
}

/** The circuit over the whole map: where Δp, duty, pump and boiling are worst. */
export function OperationScreen() {
  const { evaluation } = useBuild();
  const [units] = useUnits();
  const { map, failed } = useOperatingMap();
  const [quantityId, setQuantity] = useState<OperatingQuantity>('duty');
  const [circuitIndex, setCircuit] = useState(0);
  const [picked, setPicked] = useState<MapCell>();
  const operation = map?.circuits[circuitIndex];
  const quantity = operatingQuantities.find((q) => q.id === quantityId)!;
  const worstAt = operation?.worst[quantityId];
  const worst = { s: worstAt?.speedIndex ?? 0, l: worstAt?.loadIndex ?? 0 };
  const at = picked ?? worst;
  const shown = useOperatingPoint(circuitIndex, { speedIndex: at.s, loadIndex: at.l });
  // Another quantity is looked at where it is worst.
  useEffect(() => setPicked(undefined), [quantityId, circuitIndex, map]);
  const table = operation?.tables[quantityId];
  const limit = operation?.limits[quantityId] ?? null;
  const read = (value: number | null | undefined): string =>
    value === null || value === undefined
      ? 'not solved'
      : formatMeasure({ value, kind: quantity.kind }, units);
  return (
    <Screen
      title="Operating map"
      lead="The circuit solved at every speed and load with design flow, low voltage, hottest fuel and a worn pump."
      inspector={shown && <PointSolution shown={shown} />}
    >
      <div className="flex flex-wrap items-center gap-1" role="radiogroup" aria-label="Quantity">
        {operatingQuantities.map((q) => (
          <button
            key={q.id}
            type="button"
            role="radio"
            aria-checked={q.id === quantityId}
            className={`min-h-7 border-b-[3px] px-2 ${q.id === quantityId ? 'border-moss font-medium' : 'border-transparent text-second hover:text-ink'}`}
            onClick={() => setQuantity(q.id)}
          >
            {q.label}
          </button>
        ))}
        {evaluation.fluids.length > 1 && (
          <div className="ml-auto w-[180px]">
            <Select
              name="Circuit"
              value={String(circuitIndex)}
              choices={evaluation.fluids.map((fluid, i) => ({
                value: String(i),
                label: fluid.design.circuit.name,
              }))}
              onChoose={(index) => setCircuit(Number(index))}
            />
          </div>
        )}
      </div>
      {failed && (
        <p role="alert" className="mt-2 text-signal">
          {failed}
        </p>
      )}
      {!map || !operation || !table ? (
        !failed && <p className="mt-3 text-second">Working it out</p>
      ) : (
        <figure className="mt-2">
          <figcaption className="flex flex-wrap justify-between gap-x-4">
            <span>
              Worst <strong className="font-medium">{read(table[worst.s]?.[worst.l])}</strong> at{' '}
              {Math.round(entryAt(map.speeds, worst.s) * 60)} rpm
              {limit === null
                ? ''
                : `; stop ${quantity.worse === 'higher' ? 'above' : 'below'} ${read(limit)}`}
            </span>
            <span aria-live="polite">
              {Math.round(entryAt(map.speeds, at.s) * 60)} rpm:{' '}
              <strong className="font-medium">{read(table[at.s]?.[at.l])}</strong>
            </span>
          </figcaption>
          <SpeedLoadMap
            label={`${quantity.label} over the map: walk with the arrow keys`}
            speeds={map.speeds}
            loads={map.loads}
            table={table}
            shade={shadeOf(table, quantity.worse)}
            beyond={beyondOf(limit, quantity.worse)}
            marked={worst}
            at={at}
            look={setPicked}
          />
          <p className="text-[13px] text-second">
            <span className="text-signal">◇</span> worst point; darker is worse; outlined cells are
            beyond the stop limit.
          </p>
        </figure>
      )}
    </Screen>
  );
}
