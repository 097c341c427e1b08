import { dropFeedsOf } from '../../electrics/feeds/dropFeed.ts';
import { deviceSpec } from '../../electrics/model.ts';
import { fuelSpec } from '../../engine/model.ts';
import { command, entryOf } from '../../model/command.ts';
import { mergeInto } from '../../model/edit.ts';
import { record, text } from '../../model/spec.ts';
import { assembliesAlong } from '../../plumbing/model.ts';
import { placementSpec } from '../../vehicle/model.ts';
import { circuitSpec, injectorRowSpec } from '../model.ts';
import { dropAssemblies, dropDecisions, dropRoutes, writeCircuitInto } from './writeCircuitInto.ts';
import { readCircuit } from '../../model/build.ts';

const id = text({ min: 1, max: 40 });

/** Puts entries into a collection, or over those of the same id. */
function putAll<Entry extends object>(
  collection: Record<string, Entry>,
  added: Readonly<Record<string, object>>,
): void {
  for (const [key, entry] of Object.entries(added)) {
    const present = Object.hasOwn(collection, key) ? collection[key] : undefined;
    if (present) mergeInto(present, entry);
    else collection[key] = entry as Entry;
  }
}

/** Lays a circuit out: in place of the one of its id, or as a further one with fuel and rows. */
export const layOutCircuit = command({
  name: 'lay-out-circuit',
  fields: {
    label: text({ min: 1, max: 120 }),
    circuitId: id,
    circuit: circuitSpec,
    placements: record(placementSpec, { max: 60 }),
    /** what feeds its pumps */
    devices: record(deviceSpec, { max: 40 }),
    /** fuels and rows that a further circuit brings with it */
    fuels: record(fuelSpec, { max: 4 }),
    injectorRows: record(injectorRowSpec, { max: 8 }),
    /** lines whose ends have to be others on it */
    assemblies: assembliesAlong,
  },
  words: (c) => c.label,
  recipe(draft, c) {
    putAll(draft.fuels, c.fuels);
    putAll(draft.injectorRows, c.injectorRows);
    putAll(draft.placements, c.placements);
    if (Object.hasOwn(draft.fuelCircuits, c.circuitId)) {
      writeCircuitInto(draft, readCircuit(c.circuit, c.circuitId));
    } else draft.fuelCircuits[c.circuitId] = c.circuit as never;
    putAll(draft.devices, c.devices);
    for (const [key, assembly] of Object.entries(c.assemblies)) {
      draft.assemblies[key] = assembly as never;
    }
  },
});

/** Takes a circuit out with its rows, their injectors, its feeds, and its fuel if no other uses it. */
export const removeCircuit = command({
  name: 'remove-circuit',
  fields: { circuitId: id },
  words: (c) => `Remove circuit ${c.circuitId}`,
  recipe(draft, { circuitId }) {
    const { fuelId } = entryOf(draft.fuelCircuits, circuitId, 'fuel circuit');
    delete draft.fuelCircuits[circuitId];
    const used = Object.values(draft.fuelCircuits).some((c) => c.fuelId === fuelId);
    if (!used) delete draft.fuels[fuelId];
    const rows = new Set<string>();
    for (const [rowId, row] of Object.entries(draft.injectorRows)) {
      if (row.circuitId !== circuitId) continue;
      rows.add(rowId);
      delete draft.injectorRows[rowId];
    }
    dropFeedsOf(draft, circuitId, () => true);
    for (const [deviceId, { part }] of Object.entries(draft.devices)) {
      if (part.kind === 'injector' && rows.has(part.rowId)) delete draft.devices[deviceId];
    }
    dropRoutes(draft, circuitId, () => true);
    dropAssemblies(draft, circuitId, () => true);
    dropDecisions(
      draft,
      ([slice, key]) =>
        (slice === 'fuelCircuits' && key === circuitId) ||
        (slice === 'injectorRows' && key !== undefined && rows.has(key)),
    );
  },
});
