import {
  type FuelCircuit,
  type LineElement,
  type LineRoute,
  type Vector,
  routeFigure,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { CornerFields } from './CornerFields.tsx';
import type { useCorners } from './useCorners.ts';

/** Bend radius m of a new corner. */
const NEW_RADIUS = 0.1;

/** What a line's length is known from, for one that has no way on the map. */
function knownFrom({ length }: LineElement): string {
  if (length.measured) return 'measured';
  return length.typed ? 'typed' : 'estimated';
}

/** A line without a way: lead it over the map. */
export function UnledLine({ circuit, line }: { circuit: FuelCircuit; line: LineElement }) {
  const { edit } = useBuild();
  return (
    <div className="mt-3">
      <p className="text-second">Its length is {knownFrom(line)}; no way is drawn for it yet.</p>
      <button
        type="button"
        className="act act-main mt-2"
        onClick={() =>
          edit({
            name: 'set',
            path: ['routes', line.id],
            value: { circuitId: circuit.id, elementId: line.id, sleeve: false, points: {} },
          })
        }
      >
        Lead it over the map
      </button>
    </div>
  );
}

/** The way of a line: its corners, and what follows from them. */
export function RouteInspector({
  route,
  line,
  ends,
  corners,
  corner,
  pick,
}: {
  route: LineRoute;
  line: LineElement;
  ends: readonly [Vector, Vector];
  corners: ReturnType<typeof useCorners>;
  corner: string | undefined;
  pick: (id: string | undefined) => void;
}) {
  const { edit } = useBuild();
  const of = { line: line.id };
  return (
    <>
      <div className="mt-2">
        <Tick
          checked={route.sleeve}
          onChange={(value) => edit({ name: 'set', path: ['routes', route.id, 'sleeve'], value })}
        >
          Heat sleeve
        </Tick>
      </div>
      <CornerFields
        path={['routes', route.id, 'points']}
        corners={corners}
        corner={corner}
        pick={pick}
        ends={ends}
        radius={NEW_RADIUS}
        least={0}
      />
      <FigureRows
        rows={[
          ['Length', routeFigure('line.length', of)],
          ['Known to ±', routeFigure('line.uncertainty', of)],
          ['Clamps', routeFigure('line.clampCount', of)],
          ['Bends', routeFigure('line.bends', of)],
          ['Bent in all', routeFigure('line.bendAngle', of)],
          ['Inside of the tightest', routeFigure('line.tightestBend', of)],
          ['From the nearest hot pipe', routeFigure('line.minClearance', of)],
          ['High point', routeFigure('line.highPoint', of)],
          ['Low point', routeFigure('line.lowPoint', of)],
        ]}
      />
      {(line.length.typed ?? line.length.measured) && (
        <p className="mt-2 text-[13px] text-second">
          The circuit goes on with the length that was {knownFrom(line)}.
        </p>
      )}
      <button
        type="button"
        className="act mt-3"
        onClick={() => edit({ name: 'remove', path: ['routes', route.id] })}
      >
        Take this way out
      </button>
    </>
  );
}
