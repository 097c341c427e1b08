import {
  type Build,
  type FuelCircuit,
  type LineElement,
  type Placement,
  type Vector,
  quantity,
} from '@brookrain/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Select } from '../../ui/Select.tsx';
import { HotRunInspector } from './HotRunInspector.tsx';
import { MapDrawing } from './MapDrawing.tsx';
import { PlaceInspector } from './PlaceInspector.tsx';
import { RouteInspector, UnledLine } from './RouteInspector.tsx';
import { useCorners } from './useCorners.ts';

interface PlacedLine {
  readonly line: LineElement;
  readonly circuit: FuelCircuit;
  readonly ends: readonly [Placement, Placement];
}

const at = (p: Placement): Vector => [p.x.value, p.y.value, p.z.value];

/** Every line of the build with the places of its ends. */
function linesOf(build: Build): PlacedLine[] {
  return build.fuelCircuits.flatMap((circuit) =>
    circuit.elements.flatMap((line): PlacedLine[] => {
      if (line.kind !== 'line') return [];
      const place = (nodeId: string): Placement | undefined => {
        const node = circuit.nodes.find((n) => n.id === nodeId);
        return build.placements.find((p) => p.id === node?.placementId);
      };
      const [from, to] = [place(line.from), place(line.to)];
      return from && to ? [{ line, circuit, ends: [from, to] }] : [];
    }),
  );
}

/** A hot pipe that nobody described yet: 1 m, beside the middle of the vehicle. */
const newRun = (x: number) => ({
  name: 'Exhaust',
  part: 'pipe',
  diameter: quantity(50, 'length', 'mm'),
  temperature: quantity(400, 'temperature', '°C'),
  points: {
    p1: corner(1000, x, 300),
    p2: corner(2000, x - 1000, 300),
  },
});
const corner = (order: number, x: number, y: number) => ({
  order,
  x: quantity(x, 'length', 'mm'),
  y: quantity(y, 'length', 'mm'),
  z: quantity(350, 'length', 'mm'),
});

/** Tells a place from a line or pipe of the same id. */
const placeKey = (id: string): string => `place:${id}`;

/** Stands in for a route that is not there: nothing is kept under it. */
const NO_ROUTE = 'none';

/** The vehicle from the side and from above: where lines run, and what is hot. */
export function MapScreen() {
  const { document: build, stored, evaluation, edit } = useBuild();
  const [query, setQuery] = useSearchParams();
  const lines = linesOf(build);
  const { hotRuns, routes } = build;
  const asked = query.get('of');
  const first = evaluation.findings.find((f) => f.where.stage === 'map')?.where;
  const usual = first?.stage === 'map' ? first.line : (routes[0]?.elementId ?? lines[0]?.line.id);
  const known = [
    ...lines.map((l) => l.line.id),
    ...hotRuns.map((r) => r.id),
    ...build.placements.map((p) => placeKey(p.id)),
  ];
  const selected = asked && known.includes(asked) ? asked : (usual ?? '');
  const [picked, setPicked] = useState<string>();
  const select = (id: string): void => {
    setPicked(undefined);
    setQuery({ of: id }, { replace: true });
  };
  const placed = lines.find((l) => l.line.id === selected);
  const run = placed ? undefined : hotRuns.find((r) => r.id === selected);
  const route = routes.find((r) => r.elementId === selected);
  const place = build.placements.find((p) => placeKey(p.id) === selected);
  const path = run ? ['hotRuns', run.id, 'points'] : ['routes', route?.id ?? NO_ROUTE, 'points'];
  const corners = useCorners(path);
  const findings = evaluation.findings.filter((f) => f.where.stage === 'map');
  const mine = findings.filter((f) => f.where.stage === 'map' && f.where.line === selected);
  const freeRun = (): string => {
    let n = hotRuns.length + 1;
    while (Object.hasOwn(stored.hotRuns, `hot-${n}`)) n += 1;
    return `hot-${n}`;
  };
  /** One edit: the coordinates that changed. */
  const movePlace = (moved: Placement, to: Vector): void => {
    const changes = (['x', 'y', 'z'] as const).flatMap((axis, k) => {
      const value = to[k] ?? 0;
      return value === moved[axis].value
        ? []
        : [{ path: ['placements', moved.id, axis], value: { ...moved[axis], value } }];
    });
    const label = `Move the ${moved.name.toLowerCase()}`;
    if (changes.length > 0) edit({ name: 'set-several', label, changes });
  };
  return (
    <Screen
      title="Map"
      lead="Where lines run over the vehicle: x forward of the rear axle, y left of the middle, z above the ground."
      inspector={
        <>
          <Select
            name="Line, hot pipe or place"
            value={selected}
            choices={[
              {
                heading: 'Lines',
                choices: lines.map(({ line }) => ({
                  value: line.id,
                  label: `${line.name}${routes.some((r) => r.elementId === line.id) ? '' : ', no way yet'}`,
                })),
              },
              {
                heading: 'Hot pipes',
                choices: hotRuns.map((r) => ({ value: r.id, label: r.name })),
              },
              {
                heading: 'Places',
                choices: build.placements.map((p) => ({ value: placeKey(p.id), label: p.name })),
              },
            ].filter((group) => group.choices.length > 0)}
            onChoose={select}
          />
          {mine.map((finding) => (
            <FindingNote key={finding.id} finding={finding} />
          ))}
          {placed && !route && <UnledLine circuit={placed.circuit} line={placed.line} />}
          {placed && route && (
            <RouteInspector
              route={route}
              line={placed.line}
              ends={[at(placed.ends[0]), at(placed.ends[1])]}
              corners={corners}
              corner={picked}
              pick={setPicked}
            />
          )}
          {run && <HotRunInspector run={run} corners={corners} corner={picked} pick={setPicked} />}
          {place && <PlaceInspector place={place} />}
          <Cautions place="circuit" />
        </>
      }
    >
      <div className="mb-2 flex items-center justify-between gap-3">
        <p className="text-[13px] text-second">
          {(corners.corners.length > 0 || place) &&
            'Drag it in either view, or step it with the arrow keys.'}
        </p>
        <button
          type="button"
          className="act"
          onClick={() => {
            const id = freeRun();
            const front = Math.max(...build.placements.map((p) => p.x.value));
            if (
              edit({ name: 'set', path: ['hotRuns', id], value: newRun(Math.round(front * 1e3)) })
                .ok
            ) {
              select(id);
            }
          }}
        >
          Add a hot pipe
        </button>
      </div>
      <MapDrawing
        places={build.placements}
        lines={lines.map(({ line }) => ({
          id: line.id,
          name: line.name,
          role: line.role,
          told: evaluation.lines.find((l) => l.elementId === line.id),
        }))}
        runs={hotRuns.map((r) => ({
          id: r.id,
          name: r.name,
          diameter: r.diameter.value,
          points: r.points.map((p): Vector => [p.x.value, p.y.value, p.z.value]),
        }))}
        selected={selected}
        select={select}
        corners={run || route ? corners.corners : []}
        corner={picked}
        pickCorner={setPicked}
        moveCorner={corners.move}
        ends={placed ? placed.ends : place ? [place] : []}
        place={place}
        movePlace={movePlace}
        selectPlace={(id) => select(placeKey(id))}
      />
      <div className="mt-2">
        {findings.length === 0 && (
          <p className="text-second">Nothing stands against the ways on the map.</p>
        )}
        {findings
          .filter((f) => !mine.includes(f))
          .map((finding) => (
            <FindingNote key={finding.id} finding={finding} />
          ))}
      </div>
    </Screen>
  );
}
