import { type Catalogue, type ItemOf, lookUp } from '../../catalogue/index.ts';
import type {
  FuelCircuit,
  LengthKnowledge,
  LineElement,
  LineRoute,
  OtherLine,
  Placement,
} from '../../model/index.ts';
import { NotFound } from '../../quantities/index.ts';
import { type Sourced, entered, fromItem } from '../../results/index.ts';
import { type Port, placeKey, portKey } from '../components/placedComponent.ts';
import type { Vector } from '../geometry/vector.ts';
import { vectorOf } from '../places/vectorOf.ts';
import type { OtherLineUse } from '../slices/otherLines.ts';
import { leastBendOf, leastBendOfCable } from './leastBend.ts';

/** What a line carries: fuel in its circuit, or what another line is for. */
export type Carried = 'fuel' | OtherLineUse;

/** A line that has a way on the map: what of it the way depends on. */
export interface Led {
  readonly id: string;
  readonly name: string;
  readonly carries: Carried;
  /** it leads fuel to a pump */
  readonly suction: boolean;
  /** of a fuel line, its circuit */
  readonly circuitId: string | undefined;
  readonly ends: readonly [from: Placement, to: Placement];
  /** the ports of parts that it begins and ends at, where there are any */
  readonly ports: readonly [from: Port | undefined, to: Port | undefined];
  /** where it begins and ends: at a port, or at the place itself */
  readonly endsAt: readonly [from: Vector, to: Vector];
  readonly hose: ItemOf<'hose'> | undefined;
  readonly outsideDiameter: Sourced<number>;
  readonly rigid: boolean;
  /** inside radius m that it may at least be bent to */
  readonly leastBend: number;
  readonly length: LengthKnowledge;
}

/** Where led lines are looked up. */
export interface Lines {
  readonly circuits: readonly FuelCircuit[];
  readonly otherLines: readonly OtherLine[];
  readonly placements: readonly Placement[];
  readonly catalogue: Catalogue;
  /** ports of parts by circuit and node */
  readonly ports: Readonly<Record<string, Port>>;
}

const UNKNOWN: LengthKnowledge = { typed: null, measured: null };

function placeOf(lines: Lines, id: string | undefined): Placement {
  const place = lines.placements.find((p) => p.id === id);
  if (!place) throw new NotFound(`there is no place "${id ?? ''}" on the vehicle`, 'placements');
  return place;
}

/** A line of a fuel circuit. */
export function ledLine(circuit: FuelCircuit, line: LineElement, lines: Lines): Led {
  const end = (nodeId: string): Placement =>
    placeOf(lines, circuit.nodes.find((node) => node.id === nodeId)?.placementId);
  const hose = lookUp(lines.catalogue, 'hose', line.item, line.id);
  const ends = [end(line.from), end(line.to)] as const;
  const ports = [
    lines.ports[portKey(circuit.id, line.from)],
    lines.ports[portKey(circuit.id, line.to)],
  ] as const;
  return {
    id: line.id,
    name: line.name,
    carries: 'fuel',
    suction: line.role === 'suction',
    circuitId: circuit.id,
    ends,
    ports,
    endsAt: [ports[0]?.at ?? vectorOf(ends[0]), ports[1]?.at ?? vectorOf(ends[1])],
    hose,
    outsideDiameter: fromItem(hose.outsideDiameter, hose),
    rigid: hose.wall === 'rigid',
    leastBend: leastBendOf(hose),
    length: line.length,
  };
}

/** A line that no fuel runs through. */
export function ledOther(line: OtherLine, lines: Lines): Led {
  const hose = line.item ? lookUp(lines.catalogue, 'hose', line.item, line.id) : undefined;
  const path = ['otherLines', line.id, 'diameter'];
  const ends = [placeOf(lines, line.fromPlacementId), placeOf(lines, line.toPlacementId)] as const;
  const outsideDiameter = hose
    ? fromItem(hose.outsideDiameter, hose)
    : entered(line.diameter ?? 0, path);
  return {
    id: line.id,
    name: line.name,
    carries: line.use,
    suction: false,
    circuitId: undefined,
    ends,
    ports: [lines.ports[placeKey(ends[0].id)], lines.ports[placeKey(ends[1].id)]],
    endsAt: [vectorOf(ends[0]), vectorOf(ends[1])],
    hose,
    outsideDiameter,
    rigid: hose?.wall === 'rigid',
    leastBend: hose ? leastBendOf(hose) : leastBendOfCable(outsideDiameter.value),
    length: UNKNOWN,
  };
}

/** The line that a route leads; throws NotFound where there is none. */
export function ledBy({ id, of }: LineRoute, lines: Lines): Led {
  switch (of.kind) {
    case 'line': {
      const circuit = lines.circuits.find((c) => c.id === of.circuitId);
      const line = circuit?.elements.find(
        (e): e is LineElement => e.kind === 'line' && e.id === of.elementId,
      );
      if (circuit && line) return ledLine(circuit, line, lines);
      throw new NotFound(`there is no line "${of.elementId}" to lead`, `routes.${id}`);
    }
    case 'other': {
      const line = lines.otherLines.find((other) => other.id === of.otherLineId);
      if (line) return ledOther(line, lines);
      throw new NotFound(`there is no line "${of.otherLineId}" to lead`, `routes.${id}`);
    }
  }
}
