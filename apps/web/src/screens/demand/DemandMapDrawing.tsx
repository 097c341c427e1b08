import { entryAt, formatMeasure } from '@brookrain/core';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { SpeedLoadMap } from '../../ui/SpeedLoadMap.tsx';
import { useUnits } from '../../ui/preferences.ts';

/** Fuel flow over speed and load; a cell is read by pointing at it or walking with arrow keys. */
export function DemandMapDrawing() {
  const { evaluation } = useBuild();
  const [units] = useUnits();
  const { demandMap: map, demandPeak: peak } = evaluation;
  const peakAt = {
    s: map.speeds.findIndex((speed) => speed === peak.speed),
    l: map.loads.length - 1,
  };
  const [at, setAt] = useState(peakAt);
  const highest = Math.max(...map.massFlow.flat());
  const cell = {
    s: Math.min(at.s, map.speeds.length - 1),
    l: Math.min(at.l, map.loads.length - 1),
  };
  const flow = entryAt(entryAt(map.massFlow, cell.s), cell.l);
  const gauge = entryAt(entryAt(map.manifoldGauge, cell.s), cell.l);
  return (
    <figure>
      <figcaption className="flex justify-between">
        <span className="font-medium">Demand map</span>
        <span aria-live="polite">
          {Math.round(entryAt(map.speeds, cell.s) * 60)} rpm, manifold{' '}
          {formatMeasure({ value: gauge, kind: 'pressure' }, units)}:{' '}
          <strong className="font-medium">
            {formatMeasure({ value: flow, kind: 'massFlow' }, units)}
          </strong>
        </span>
      </figcaption>
      <SpeedLoadMap
        label="Demand map: walk with the arrow keys to read fuel flow"
        speeds={map.speeds}
        loads={map.loads}
        table={map.massFlow}
        shade={(value) => value / highest}
        marked={peakAt}
        at={cell}
        look={setAt}
      />
      <p className="text-[13px] text-second">
        <span className="text-signal">◇</span> peak of the map. Nominal flow; every check takes the
        design value, which is higher by the design factor.
      </p>
    </figure>
  );
}
