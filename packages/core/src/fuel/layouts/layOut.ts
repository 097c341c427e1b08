import { withPrefix } from '../circuits/circuitEdits.ts';
import type { Catalogue } from '../../catalogue/index.ts';
import type { Architecture, Build, FuelCircuit } from '../../model/index.ts';
import { architectureNotes } from './architectureNotes.ts';
import type { CircuitPartChoices } from './circuitDraft.ts';
import { feedsFor } from './feedsFor.ts';
import { type LayOut, layOutCommand } from './layOutCommand.ts';
import { partChoices } from './partChoices.ts';
import { placesFor } from './placesFor.ts';
import { returnAfterRail } from './returnAfterRail.ts';
import { returnAtTank } from './returnAtTank.ts';
import { returnBeforeRail } from './returnBeforeRail.ts';
import { returnless } from './returnless.ts';
import { surgeTankCircuit } from './surgeTankCircuit.ts';
import { throttleBody } from './throttleBody.ts';
import { twinPumps } from './twinPumps.ts';

const layouts: Readonly<Record<Architecture, (parts: CircuitPartChoices) => FuelCircuit>> = {
  'return-after-rail': returnAfterRail,
  'return-before-rail': returnBeforeRail,
  'return-at-tank': (parts) =>
    returnAtTank({ ...parts, pump: parts.inTankPump, regulatorHose: parts.pumpOutlet }),
  returnless,
  'surge-tank': surgeTankCircuit,
  'twin-pumps': twinPumps,
  'throttle-body': throttleBody,
};

/** The prefix under which the elements of a circuit stand; none in the first circuit. */
const prefixOf = (document: Build, circuitId: string): string =>
  document.fuelCircuits[0]?.id === circuitId ? '' : `${circuitId}-`;

/** A layout with ids and places of its own, where a build has several circuits. */
export function laidOut(
  parts: CircuitPartChoices,
  architecture: Architecture,
  prefix: string,
): FuelCircuit {
  const bare = layouts[architecture](parts);
  if (prefix === '') return bare;
  const circuit = withPrefix(bare, prefix);
  return {
    ...circuit,
    nodes: circuit.nodes.map((n) => ({ ...n, placementId: prefix + n.placementId })),
  };
}

/** The edit that lays a circuit out anew, with the parts it has. */
export function layOutAs(input: {
  document: Build;
  circuitId: string;
  architecture: Architecture;
  catalogue: Catalogue;
}): LayOut {
  const { document, circuitId, architecture, catalogue } = input;
  const old = document.fuelCircuits.find((c) => c.id === circuitId);
  if (!old) throw new RangeError(`there is no fuel circuit "${circuitId}"`);
  const prefix = prefixOf(document, circuitId);
  const parts = partChoices({ document, circuit: old, catalogue });
  const circuit = laidOut(parts, architecture, prefix);
  return layOutCommand(document, {
    label: `Lay ${old.name} out: ${architectureNotes[architecture].name.toLowerCase()}`,
    circuit,
    placements: placesFor(document, circuit, prefix),
    devices: feedsFor(document, circuit),
    fuels: [],
    injectorRows: [],
  });
}
