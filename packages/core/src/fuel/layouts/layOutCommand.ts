import { valueUnder } from '../../numerics/index.ts';
import {
  type Build,
  type BuildCommand,
  type Device,
  type Fuel,
  type FuelCircuit,
  type InjectorRow,
  type Placement,
  ORDER_STEP,
  writeCircuit,
  writeDevice,
  writeFuel,
  writePlacement,
  writeRow,
} from '../../model/index.ts';

/** The edit that lays a circuit out. */
export type LayOut = Extract<BuildCommand, { name: 'lay-out-circuit' }>;

/** What is laid out, as lists of things that know their ids. */
interface LaidOut {
  readonly label: string;
  readonly circuit: FuelCircuit;
  readonly placements: readonly Placement[];
  readonly devices: readonly Device[];
  readonly fuels: readonly Fuel[];
  readonly injectorRows: readonly InjectorRow[];
}

/** Entries by id: one that the build has keeps its place, further ones come behind the last. */
function byId<Entry extends { readonly id: string }, Stored>(
  entries: readonly Entry[],
  present: readonly { readonly id: string }[],
  store: (entry: Entry, order: number) => Stored,
): Record<string, Stored> {
  let last = present.length;
  return Object.fromEntries(
    entries.map((entry) => {
      const at = present.findIndex((p) => p.id === entry.id);
      return [entry.id, store(entry, ORDER_STEP * (at < 0 ? ++last : at + 1))];
    }),
  );
}

/** The edit that lays out what was drawn up for a build. */
export function layOutCommand(document: Build, laid: LaidOut): LayOut {
  const circuits = byId([laid.circuit], document.fuelCircuits, writeCircuit);
  return {
    name: 'lay-out-circuit',
    label: laid.label,
    circuitId: laid.circuit.id,
    circuit: valueUnder(circuits, laid.circuit.id),
    placements: byId(laid.placements, document.placements, writePlacement),
    devices: byId(laid.devices, document.devices, writeDevice),
    fuels: byId(laid.fuels, document.fuels, writeFuel),
    injectorRows: byId(laid.injectorRows, document.injectorRows, writeRow),
    assemblies: {},
  };
}
