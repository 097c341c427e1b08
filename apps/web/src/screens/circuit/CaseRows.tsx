import {
  type CircuitElement,
  type ElementState,
  type Measure,
  NOTHING_FLOWS,
  type PumpState,
  type ToldCase,
  formatMeasure,
} from '@brookrain/core';
import { useUnits } from '../../ui/preferences.ts';

type Row = readonly [name: string, value: string];

/** What a pump does, or that it stands. */
function pumpRows(pump: PumpState, show: (value: number, kind: Measure['kind']) => string): Row[] {
  if (pump.voltage <= 0) return [['Pump', 'stands still']];
  return [
    ['Rise', show(pump.pressureRise, 'pressure')],
    ['Voltage', show(pump.voltage, 'voltage')],
    ['Current', show(pump.current, 'current')],
  ];
}

function rowsOf(
  element: CircuitElement,
  state: ElementState,
  at: { flow: string; manifoldGauge: number },
  show: (value: number, kind: Measure['kind']) => string,
): Row[] {
  switch (element.kind) {
    case 'tank':
      return [];
    case 'injectors':
      return [
        ['Flow', at.flow],
        ['Rail pressure', show(state.inletPressure, 'pressure')],
        ['Injector Δp', show(state.inletPressure - at.manifoldGauge, 'pressure')],
      ];
    case 'pump':
    case 'regulator':
    case 'surge-tank':
      return [
        ['Flow', at.flow],
        ['Before it', show(state.inletPressure, 'pressure')],
        ['Behind it', show(state.outletPressure, 'pressure')],
      ];
    case 'fitting':
    case 'line':
    case 'filter':
    case 'filter-regulator':
    case 'dead-head-regulator':
    case 'orifice':
      return [
        ['Flow', at.flow],
        ['Loss', show(state.pressureDrop, 'pressure')],
        ['Before it', show(state.inletPressure, 'pressure')],
        ...(state.velocity === undefined
          ? []
          : [['Velocity', show(state.velocity, 'velocity')] as const]),
      ];
  }
}

/** What an element does in the case that is looked at. */
export function CaseRows({
  element,
  shown,
  density,
}: {
  element: CircuitElement;
  shown: ToldCase;
  density: number;
}) {
  const [units] = useUnits();
  const { point, solution } = shown;
  const state = solution.state === 'converged' ? solution.elements[element.id] : undefined;
  const pump = solution.state === 'converged' ? solution.pumps[element.id] : undefined;
  const show = (value: number, kind: Measure['kind']): string =>
    formatMeasure({ value, kind }, units);
  if (!state) return null;
  // The density at hand is that of hot fuel: cold fuel is told by its mass.
  const volume = state.massFlow / density;
  const flow =
    Math.abs(volume) < NOTHING_FLOWS
      ? 'nothing flows'
      : point.fuel === 'cold'
        ? show(state.massFlow, 'massFlow')
        : show(volume, 'volumeFlow');
  const rows = [
    ...rowsOf(element, state, { flow, manifoldGauge: point.manifoldGauge }, show),
    ...(pump ? pumpRows(pump, show) : []),
  ];
  if (rows.length === 0) return null;
  return (
    <section className="rule mt-3 pt-2" aria-label="In the case shown">
      <h3>{point.label}</h3>
      <dl className="space-y-1">
        {rows.map(([name, value]) => (
          <div key={name} className="flex justify-between gap-2">
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
