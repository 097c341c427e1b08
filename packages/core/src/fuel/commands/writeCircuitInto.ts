import { valueUnder } from '../../numerics/index.ts';
import { type DocumentDraft, mergeInto } from '../../model/edit.ts';
import type { CircuitElement, FuelCircuit } from '../../model/build.ts';
import { dropFeedsOf } from '../../electrics/feeds/dropFeed.ts';
import { ORDER_STEP, writeCircuit } from '../../model/writeBuild.ts';
import { pumpsOf } from '../circuits/circuitRun.ts';

/** Orders for a row of ids that keep as many of the present ones as they stand. */
export function keptOrders(
  ids: readonly string[],
  present: ReadonlyMap<string, number>,
): Map<string, number> {
  const orders = new Map<string, number>();
  let last = -Infinity;
  ids.forEach((id, i) => {
    const own = present.get(id);
    let order = own !== undefined && own > last ? own : undefined;
    if (order === undefined) {
      const next = ids
        .slice(i + 1)
        .map((other) => present.get(other))
        .find((other) => other !== undefined && other > last);
      const low = last === -Infinity ? 0 : last;
      order = next === undefined ? low + ORDER_STEP : (low + next) / 2;
    }
    orders.set(id, order);
    last = order;
  });
  return orders;
}

/**
 * Writes a changed circuit over the one of its id. Feeds of pumps, ways and ends of lines that are gone go
 * with them, and decisions that speak of an element that is gone.
 */
export function writeCircuitInto(draft: DocumentDraft, circuit: FuelCircuit): void {
  const stored = valueUnder(draft.fuelCircuits, circuit.id);
  const present = new Map(Object.entries(stored.elements).map(([id, e]) => [id, e.order]));
  const kinds = new Map(Object.entries(stored.elements).map(([id, e]) => [id, e.kind]));
  const orders = keptOrders(
    circuit.elements.map((e) => e.id),
    present,
  );
  const next = writeCircuit(circuit, stored.order);
  const elements = Object.fromEntries(
    Object.entries(next.elements).map(([id, e]) => [id, { ...e, order: orders.get(id)! }]),
  );
  for (const [id, element] of Object.entries(elements)) {
    // An element that became something else shares nothing with what stood there.
    if (kinds.has(id) && kinds.get(id) !== element.kind) delete stored.elements[id];
  }
  mergeInto(stored, { ...next, elements });
  dropOrphans(draft, circuit, kinds);
}

function dropOrphans(
  draft: DocumentDraft,
  circuit: FuelCircuit,
  before: ReadonlyMap<string, string>,
): void {
  const pumps = new Set(pumpsOf(circuit).map((pump) => pump.id));
  dropFeedsOf(draft, circuit.id, (elementId) => !pumps.has(elementId));
  const kindNow = new Map(circuit.elements.map((e) => [e.id, e.kind]));
  const led = new Set(circuit.elements.filter((e) => hasTwoPlaces(circuit, e)).map((e) => e.id));
  dropRoutes(draft, circuit.id, (elementId) => !led.has(elementId));
  dropAssemblies(draft, circuit.id, (elementId) => kindNow.get(elementId) !== 'line');
  const lost = (path: readonly string[]): boolean => {
    const [slice, circuitId, collection, id] = path;
    return (
      slice === 'fuelCircuits' &&
      circuitId === circuit.id &&
      collection === 'elements' &&
      id !== undefined &&
      kindNow.get(id) !== before.get(id)
    );
  };
  dropDecisions(draft, lost);
}

/** Whether an element is a line whose two ends stand at different places: only such can be led. */
function hasTwoPlaces({ nodes }: FuelCircuit, element: CircuitElement): boolean {
  if (element.kind !== 'line') return false;
  const place = (id: string): string | undefined =>
    nodes.find((node) => node.id === id)?.placementId;
  return place(element.from) !== place(element.to);
}

/** Drops decisions that would put a value in a place that is gone. */
export function dropDecisions(
  draft: DocumentDraft,
  gone: (path: readonly string[]) => boolean,
): void {
  for (const [id, option] of Object.entries(draft.options)) {
    const paths = Object.values(option.alternatives).flatMap((a) =>
      Object.values(a.values).map((v) => v.path),
    );
    if (paths.some(gone)) delete draft.options[id];
  }
}

/** Drops the ends of lines of a circuit that are gone. */
export function dropAssemblies(
  draft: DocumentDraft,
  circuitId: string,
  gone: (elementId: string) => boolean,
): void {
  for (const [id, { of }] of Object.entries(draft.assemblies)) {
    if (of.kind === 'line' && of.circuitId === circuitId && gone(of.elementId)) {
      delete draft.assemblies[id];
    }
  }
}

/** Drops the ways over the map of lines of a circuit that are gone, and what its tanks are there. */
export function dropRoutes(
  draft: DocumentDraft,
  circuitId: string,
  gone: (elementId: string) => boolean,
): void {
  for (const [id, route] of Object.entries(draft.routes)) {
    const { of } = route;
    if (of.kind === 'line' && of.circuitId === circuitId && gone(of.elementId)) {
      delete draft.routes[id];
    }
  }
  for (const [id, tank] of Object.entries(draft.tanks)) {
    const { elements } = draft.fuelCircuits[circuitId] ?? { elements: {} };
    if (tank.circuitId === circuitId && elements[tank.elementId]?.kind !== 'tank') {
      delete draft.tanks[id];
    }
  }
}
