import { deviceSpec } from '../../electrics/model.ts';
import { command, entryOf } from '../../model/command.ts';
import type { InsertedElement } from '../../model/build.ts';
import type { DocumentDraft } from '../../model/edit.ts';
import { type KindsSpec, type ObjectSpec, choice, kinds, record, text } from '../../model/spec.ts';
import { insertElement, moveElement, removeElement } from '../circuits/circuitEdits.ts';
import { assembliesAlong } from '../../plumbing/model.ts';
import { type StoredElement, elementSpec } from '../model.ts';
import { buildOf } from '../../model/buildOf.ts';
import { writeCircuitInto } from './writeCircuitInto.ts';

const id = text({ min: 1, max: 40 });

/** An element as it is put into a run: its ends and its place follow from there. */
export type StoredInserted = StoredElement extends infer E
  ? E extends { readonly from: string }
    ? Omit<E, 'order' | 'from' | 'to'>
    : never
  : never;

const loose = (spec: ObjectSpec): ObjectSpec => {
  const { order: _o, from: _f, to: _t, ...fields } = spec.fields;
  return { ...spec, fields };
};
const { kinds: whole } = elementSpec;

/** What can be put into a run: elements whose ends are still open. */
export const insertedSpec: KindsSpec<StoredInserted> = kinds('kind', {
  fitting: loose(whole.fitting),
  line: loose(whole.line),
  filter: loose(whole.filter),
  pump: loose(whole.pump),
  regulator: loose(whole.regulator),
  'dead-head-regulator': loose(whole['dead-head-regulator']),
  orifice: loose(whole.orifice),
}) as KindsSpec<StoredInserted>;

/** An element that is put in, as computation reads it. */
function readInserted(stored: StoredInserted, id: string): InsertedElement {
  if (stored.kind !== 'line') return { ...stored, id } as InsertedElement;
  return { ...stored, id, fittings: Object.values(stored.fittings) };
}

/** An element that is put in, as it is stored. */
export function writeInserted(element: InsertedElement): StoredInserted {
  const { id: _, ...rest } = element;
  if (rest.kind !== 'line') return rest as StoredInserted;
  const fittings = Object.fromEntries(rest.fittings.map((use) => [use.item.id, use]));
  return { ...rest, fittings };
}

const circuitIn = (draft: DocumentDraft, circuitId: string) => {
  entryOf(draft.fuelCircuits, circuitId, 'fuel circuit');
  return buildOf(draft).fuelCircuits.find((c) => c.id === circuitId)!;
};

/** Puts an element behind another one. Id and joint are given; its ends follow from its place. */
export const insertElementCommand = command({
  name: 'insert-element',
  fields: {
    circuitId: id,
    /** the new element comes behind this one */
    afterId: id,
    elementId: id,
    element: insertedSpec,
    /** id of the joint between the two */
    nodeId: id,
    /** what feeds a pump that is put in */
    devices: record(deviceSpec, { max: 8 }),
    assemblies: assembliesAlong,
  },
  words: (c) => `Insert ${c.element.name} after ${c.afterId}`,
  recipe(draft, c) {
    const circuit = circuitIn(draft, c.circuitId);
    const element = readInserted(c.element, c.elementId);
    const { afterId, nodeId } = c;
    writeCircuitInto(draft, insertElement({ circuit, afterId, element, nodeId }));
    Object.assign(draft.assemblies, c.assemblies);
    Object.assign(draft.devices, c.devices);
  },
});

/** Takes an element out of its circuit. */
export const removeElementCommand = command({
  name: 'remove-element',
  fields: { circuitId: id, elementId: id, assemblies: assembliesAlong },
  words: (c) => `Take ${c.elementId} out`,
  recipe(draft, c) {
    writeCircuitInto(draft, removeElement(circuitIn(draft, c.circuitId), c.elementId));
    Object.assign(draft.assemblies, c.assemblies);
  },
});

/** Exchanges an element with its neighbour. */
export const moveElementCommand = command({
  name: 'move-element',
  fields: {
    circuitId: id,
    elementId: id,
    direction: choice(['towards-tank', 'towards-engine']),
    assemblies: assembliesAlong,
  },
  words: (c) =>
    `Move ${c.elementId} ${c.direction === 'towards-tank' ? 'towards the tank' : 'towards the engine'}`,
  recipe(draft, c) {
    writeCircuitInto(draft, moveElement(circuitIn(draft, c.circuitId), c.elementId, c.direction));
    Object.assign(draft.assemblies, c.assemblies);
  },
});
