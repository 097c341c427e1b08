import type { Build, LineRole, Placement, Port, Vector } from '@brookrain/core';
import { portKey, vectorOf } from '@brookrain/core';
import type { MapLine } from './LineInspector.tsx';

/** A line of the map with what it is called and drawn like. */
export interface PlacedLine extends MapLine {
  readonly role: LineRole;
  readonly endNames: readonly [string, string];
  readonly fuel: boolean;
}

const routeOf = (build: Build, lineId: string): string | undefined =>
  build.routes.find(({ of }) => (of.kind === 'line' ? of.elementId : of.otherLineId) === lineId)
    ?.id;

const ends = (from: Placement, to: Placement, ports: readonly (Port | undefined)[] = []) => ({
  ends: [ports[0]?.at ?? vectorOf(from), ports[1]?.at ?? vectorOf(to)] as const satisfies readonly [
    Vector,
    Vector,
  ],
  endNames: [from.name, to.name] as const,
});

/** Every line of a build whose two ends have places, fuel first, from port to port. */
export function linesOf(build: Build, ports: Readonly<Record<string, Port>>): PlacedLine[] {
  const place = (id: string | undefined): Placement | undefined =>
    build.placements.find((p) => p.id === id);
  const fuel = build.fuelCircuits.flatMap((circuit) =>
    circuit.elements.flatMap((line): PlacedLine[] => {
      if (line.kind !== 'line') return [];
      const at = (node: string) => place(circuit.nodes.find((n) => n.id === node)?.placementId);
      const [from, to] = [at(line.from), at(line.to)];
      // A line within one place, such as a rail that nobody measured, has nothing to lead.
      if (!from || !to || from.id === to.id) return [];
      return [
        {
          id: line.id,
          name: line.name,
          of: { kind: 'line', circuitId: circuit.id, elementId: line.id },
          ...ends(from, to, [
            ports[portKey(circuit.id, line.from)],
            ports[portKey(circuit.id, line.to)],
          ]),
          length: line.length,
          routeId: routeOf(build, line.id),
          role: line.role,
          fuel: true,
        },
      ];
    }),
  );
  const others = build.otherLines.flatMap((line): PlacedLine[] => {
    const [from, to] = [place(line.fromPlacementId), place(line.toPlacementId)];
    if (!from || !to || from.id === to.id) return [];
    return [
      {
        id: line.id,
        name: line.name,
        of: { kind: 'other', otherLineId: line.id },
        ...ends(from, to),
        length: undefined,
        routeId: routeOf(build, line.id),
        role: line.use === 'vent' || line.use === 'vapour-return' ? 'vent' : 'other',
        fuel: false,
      },
    ];
  });
  return [...fuel, ...others];
}
