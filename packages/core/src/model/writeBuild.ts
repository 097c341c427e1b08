import type { StoredDevice } from '../electrics/model.ts';
import type { StoredFuel } from '../engine/model.ts';
import type { StoredCircuit, StoredElement, StoredInjectorRow } from '../fuel/model.ts';
import type { StoredPlacement } from '../vehicle/model.ts';
import type { StoredAssemblyEnd } from '../plumbing/model.ts';
import type {
  AssemblyEnd,
  BuildInput,
  CircuitElement,
  DecisionOption,
  Fuel,
  FuelCircuit,
  InjectorRow,
  PathValue,
  Placement,
  Device,
} from './build.ts';
import type { CurvePoint } from './curve.ts';
import {
  type BuildDocument,
  CURRENT_VERSION,
  type StoredOption,
  documentSpec,
} from './document.ts';
import { completed } from './initial.ts';

/** Between two neighbours there is room for others. */
export const ORDER_STEP = 1000;

const byId = <Entry extends { readonly id: string }, Stored>(
  entries: readonly Entry[],
  store: (entry: Omit<Entry, 'id'>) => Stored,
): Record<string, Stored> =>
  Object.fromEntries(
    entries.map((entry) => {
      const { id, ...rest } = entry;
      return [id, store(rest)];
    }),
  );

/** Entries of a list by id, each with its place in it. */
const ordered = <Entry extends { readonly id: string }, Stored>(
  entries: readonly Entry[],
  store: (entry: Omit<Entry, 'id'>) => Stored = (entry) => entry as unknown as Stored,
) => {
  let order = 0;
  return byId(entries, (entry) => ({ ...store(entry), order: ORDER_STEP * ++order }));
};

/** Points of a curve by id: the first is p1. */
export const writeCurve = (points: readonly CurvePoint[]): Record<string, CurvePoint> =>
  Object.fromEntries(points.map((point, i) => [`p${i + 1}`, point]));

/** Fittings of a line by the part they are. */
const writeFittings = (element: CircuitElement): StoredElement => {
  if (element.kind !== 'line') return element as unknown as StoredElement;
  const { ends: _, ...line } = element;
  const fittings = Object.fromEntries(line.fittings.map((use) => [use.item.id, use]));
  return { ...line, fittings } as unknown as StoredElement;
};

/** An element as it is stored, without its id. */
export function writeElement(element: CircuitElement, order: number): StoredElement {
  const { id: _, ...rest } = writeFittings(element) as StoredElement & { id: string };
  return { ...rest, order } as StoredElement;
}

/** A fuel as it is stored, without its id. */
export function writeFuel(fuel: Fuel, order: number): StoredFuel {
  const { id: _, ...rest } = fuel;
  return { ...rest, order };
}

/** A circuit as it is stored, without its id. */
export function writeCircuit(circuit: FuelCircuit, order: number): StoredCircuit {
  const { id: _, ...rest } = circuit;
  return {
    ...rest,
    order,
    nodes: byId(circuit.nodes, (node) => node),
    elements: Object.fromEntries(
      circuit.elements.map((e, i) => [e.id, writeElement(e, ORDER_STEP * (i + 1))]),
    ),
  };
}

/** A row as it is stored, without its id; flows by the number of the injector. */
export function writeRow(row: InjectorRow, order: number): StoredInjectorRow {
  const { id: _, ...rest } = row;
  const measuredFlows = Object.fromEntries(row.measuredFlows.map((flow, i) => [`${i + 1}`, flow]));
  return { ...rest, order, measuredFlows };
}

/** A device as it is stored, without its id. */
export function writeDevice(device: Device, order: number): StoredDevice {
  const { id: _, ...rest } = device;
  return { ...rest, order };
}

/** A place as it is stored, without its id. */
export function writePlacement(place: Placement): StoredPlacement {
  const { id: _, ...rest } = place;
  return rest;
}

/** An end of a line as it is stored. */
export const writeEnd = (end: AssemblyEnd): StoredAssemblyEnd => ({
  ...end,
  adapters: ordered(end.adapters),
});

/** The key of a value in an alternative: where it goes. */
export const valueKey = (path: readonly string[]): string => path.join('/');

const writeValues = (values: readonly PathValue[]) =>
  Object.fromEntries(values.map((v) => [valueKey(v.path), v]));

const writeOption = (option: Omit<DecisionOption, 'id'>): Omit<StoredOption, 'order'> => ({
  ...option,
  alternatives: ordered(option.alternatives, ({ values, ...rest }) => ({
    ...rest,
    values: writeValues(values),
  })),
});

/**
 * The document of a build: the inverse of `readBuild`. What is not said is as its declaration says it
 * is at first.
 */
export function writeBuild(build: BuildInput): BuildDocument {
  const circuits = build.fuelCircuits.map((c, i) => [c.id, writeCircuit(c, ORDER_STEP * (i + 1))]);
  const rows = build.injectorRows.map((r, i) => [r.id, writeRow(r, ORDER_STEP * (i + 1))]);
  const written = {
    ...build,
    format: documentSpec.fields.format.value,
    version: CURRENT_VERSION,
    brief: {
      ...build.brief,
      volumetricEfficiencyCurve: writeCurve(build.brief.volumetricEfficiencyCurve),
      boostCurve: writeCurve(build.brief.boostCurve),
    },
    fuels: ordered(build.fuels),
    fuelCircuits: Object.fromEntries(circuits),
    injectorRows: Object.fromEntries(rows),
    vehicle: { ...build.vehicle, outline: ordered(build.vehicle.outline) },
    placements: byId(build.placements, (place) => place),
    sheets: byId(build.sheets, (sheet) => ({
      ...sheet,
      passThroughs: byId(sheet.passThroughs, (hole) => hole),
    })),
    solids: byId(build.solids, (solid) => solid),
    movingZones: byId(build.movingZones, (zone) => zone),
    edges: byId(build.edges, (edge) => edge),
    mountingLines: byId(build.mountingLines, (line) => line),
    spaces: byId(build.spaces, (space) => space),
    hardPoints: byId(build.hardPoints, (point) => point),
    otherLines: byId(build.otherLines, (line) => line),
    tanks: byId(build.tanks, (tank) => tank),
    hotRuns: byId(build.hotRuns, (run) => ({ ...run, points: ordered(run.points) })),
    routes: byId(build.routes, (route) => ({
      ...route,
      covers: byId(route.covers, (cover) => cover),
      clamps: byId(route.clamps, (clamp) => clamp),
      points: ordered(route.points),
    })),
    power: {
      ...build.power,
      wireDecisions: Object.fromEntries(
        build.power.wireDecisions.map(({ wireId, ...decided }) => [wireId, decided]),
      ),
    },
    devices: ordered(build.devices),
    controllers: ordered(build.controllers),
    vehicleSignals: ordered(build.vehicleSignals),
    grounds: ordered(build.grounds),
    buses: ordered(build.buses),
    panels: ordered(build.panels),
    switching: ordered(build.switching),
    harness: {
      ...build.harness,
      breakouts: byId(build.harness.breakouts, (breakout) => breakout),
      segments: ordered(build.harness.segments, (segment) => ({
        ...segment,
        points: ordered(segment.points),
      })),
      splices: Object.fromEntries(
        build.harness.splices.map(({ spliceId, ...site }) => [spliceId, site]),
      ),
      colours: Object.fromEntries(
        build.harness.colours.map(({ wireId, ...colour }) => [wireId, colour]),
      ),
      bought: ordered(build.harness.bought, (loom) => ({ ...loom, legs: ordered(loom.legs) })),
      cut: Object.fromEntries(build.harness.cut.map(({ wireId, ...wire }) => [wireId, wire])),
      repinned: ordered(build.harness.repinned, (plug) => ({
        ...plug,
        cavities: ordered(plug.cavities),
      })),
    },
    options: ordered(build.options, writeOption),
    acceptances: Object.fromEntries(
      build.acceptances.map(({ findingId, ...accepted }) => [findingId, accepted]),
    ),
    assemblies: byId(build.assemblies, (assembly) => ({
      ...assembly,
      from: writeEnd(assembly.from),
      to: writeEnd(assembly.to),
    })),
    shelf: Object.fromEntries(build.shelf.map((entry) => [entry.item.id, entry])),
    offcuts: byId(build.offcuts, (offcut) => offcut),
  };
  return completed(documentSpec, written as unknown as BuildDocument);
}
