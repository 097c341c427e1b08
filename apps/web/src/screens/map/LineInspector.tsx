import {
  type LengthKnowledge,
  type Path,
  type RouteOf,
  type Vector,
  routeFigure,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { ClockFace } from '../../ui/ClockFace.tsx';
import { CoverPanel } from './CoverPanel.tsx';
import { PointFields } from './PointFields.tsx';
import { WaysPanel } from './WaysPanel.tsx';
import type { Handle } from './handles.ts';
import type { LookedFor } from './useWays.ts';

/** A line as the map looks at it. */
export interface MapLine {
  readonly id: string;
  readonly name: string;
  readonly of: RouteOf;
  readonly ends: readonly [Vector, Vector];
  /** what is known of its length beside the map */
  readonly length: LengthKnowledge | undefined;
  readonly routeId: string | undefined;
}

/** Bend radius m of a new corner. */
const NEW_RADIUS = 0.1;

/** What a line's length is known from, for one that has no way on the map. */
function knownFrom(length: LengthKnowledge | undefined): string {
  if (length?.measured) return 'measured';
  return length?.typed ? 'typed' : 'estimated';
}

/** A line on the map: its way with its corners, ways to choose from, and what follows. */
export function LineInspector({
  line,
  handles,
  picked,
  pick,
  ways,
  describe,
}: {
  line: MapLine;
  handles: readonly Handle[];
  picked: Path | undefined;
  pick: (path: Path | undefined) => void;
  ways: LookedFor;
  /** looks at what another line is, where the line is one */
  describe: (() => void) | undefined;
}) {
  const { document: build, edit, evaluation } = useBuild();
  const of = { line: line.id };
  const { routeId } = line;
  const whatItIs = describe && (
    <button type="button" className="act mt-2" onClick={describe}>
      What this line is
    </button>
  );
  if (routeId === undefined) {
    return (
      <div className="mt-3">
        <p className="text-second">Its length is {knownFrom(line.length)}; it has no route yet.</p>
        <button
          type="button"
          className="act act-main mt-2"
          onClick={() =>
            edit({
              name: 'set',
              path: ['routes', line.id],
              value: { of: line.of, covers: {}, clamps: {}, flexible: false, points: {} },
            })
          }
        >
          Route it on the map
        </button>
        {whatItIs}
        <WaysPanel line={line} ways={ways} />
      </div>
    );
  }
  const path = ['routes', routeId];
  const route = build.routes.find(({ id }) => id === routeId);
  const told = evaluation.lines.find(({ lineId }) => lineId === line.id);
  return (
    <>
      {whatItIs}
      <div className="mt-2 flex flex-col">
        <FieldOf path={[...path, 'flexible']} />
      </div>
      <PointFields
        handles={handles}
        picked={picked}
        pick={pick}
        points={{ path: [...path, 'points'], least: 0, radius: NEW_RADIUS, ends: line.ends }}
      />
      <WaysPanel line={line} ways={ways} />
      <ClockFace lineId={line.id} />
      {route && <CoverPanel route={route} rigid={told?.rigid ?? false} lineId={line.id} />}
      <FigureRows
        rows={[
          ['Length', routeFigure('line.length', of)],
          ['Known to ±', routeFigure('line.uncertainty', of)],
          ['Clamps', routeFigure('line.clampCount', of)],
          ['Longest without a clamp', routeFigure('line.clampGap', of)],
          ['Turn at its beginning', routeFigure('line.startTurn', of)],
          ['Turn at its end', routeFigure('line.endTurn', of)],
          ['Bends', routeFigure('line.bends', of)],
          ['Bent in all', routeFigure('line.bendAngle', of)],
          ['Inside of the tightest', routeFigure('line.tightestBend', of)],
          ['Clearance that matters most', routeFigure('line.minClearance', of)],
          ['Beyond what that asks', routeFigure('line.clearanceMargin', of)],
          ['High point', routeFigure('line.highPoint', of)],
          ['Low point', routeFigure('line.lowPoint', of)],
        ]}
      />
      {(line.length?.typed ?? line.length?.measured) && (
        <p className="mt-2 text-[13px] text-second">
          The circuit keeps the length that was {knownFrom(line.length)}.
        </p>
      )}
      <button type="button" className="act mt-3" onClick={() => edit({ name: 'remove', path })}>
        Remove this route
      </button>
    </>
  );
}
