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
import type { OtherLineUse } from '../slices/otherLines.ts';
import { leastBendOf, leastBendOfCable } from './leastBend.ts';

/** What a line carries: fuel in its circuit, or what another line is for. */
export type Carried = 'fuel' | OtherLineUse;

/** A line that has a way on the map: what of it the way depends on. */
export interface Led {
  readonly id: string;
  readonly name: string;
  readonly carries: Carried;
  /** of a fuel line, its circuit */
  readonly circuitId: string | undefined;
  readonly ends: readonly [from: Placement, to: Placement];
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
  return {
    id: line.id,
    name: line.name,
    carries: 'fuel',
    circuitId: circuit.id,
    ends: [end(line.from), end(line.to)],
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
  const outsideDiameter = hose
    ? fromItem(hose.outsideDiameter, hose)
    : entered(line.diameter ?? 0, path);
  return {
    id: line.id,
    name: line.name,
    carries: line.use,
    circuitId: undefined,
    ends: [placeOf(lines, line.fromPlacementId), placeOf(lines, line.toPlacementId)],
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
