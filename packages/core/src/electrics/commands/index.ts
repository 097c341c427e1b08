import { type CommandOf, command, entryOf } from '../../model/command.ts';
import { type DocumentDraft, mergeInto } from '../../model/edit.ts';
import { itemRef, nullable, text } from '../../model/spec.ts';
import { lengthSpec } from '../../vehicle/model.ts';
import { BadInput } from '../../quantities/index.ts';
import { wirePumpCoil } from './pumpCoil.ts';
import { assignPins, connectPin, putDevices, removeDevice } from './devices.ts';

const wireId = text({ min: 1, max: 120 });
/** What the wire is called: wires are derived, a build does not know their names. */
export const wireName = text({ min: 1, max: 120 });

/** What is decided about a wire; begun where nothing was. */
function decisionOn(draft: DocumentDraft, id: string) {
  const decisions = draft.power.wireDecisions;
  return (decisions[id] ??= { size: null, length: { typed: null, measured: null } });
}

/** Chooses a fuse by hand, or leaves it to the rules. */
const chooseFuse = command({
  name: 'choose-fuse',
  fields: { deviceId: text({ min: 1, max: 60 }), item: nullable(itemRef('fuse')) },
  words: (c) => (c.item ? `Choose fuse ${c.item.id}` : 'Size the fuse by the rules'),
  recipe(draft, c) {
    const { part } = entryOf(draft.devices, c.deviceId, 'fuse');
    if (part.kind !== 'fuse') throw new BadInput('this device is no fuse', 'deviceId');
    part.item = c.item;
  },
});

/** Chooses a wire's size by hand, or leaves it to the rules. */
const chooseWire = command({
  name: 'choose-wire',
  fields: { wireId, wireName, size: nullable(itemRef('wire')) },
  words: (c) => `${c.wireName}: size ${c.size ? c.size.id : 'by the rules'}`,
  recipe(draft, c) {
    decisionOn(draft, c.wireId).size = c.size;
  },
});

/** What a person knows of a wire's length. */
const setWireLength = command({
  name: 'set-wire-length',
  fields: { wireId, wireName, length: lengthSpec },
  words: (c) => `${c.wireName}: length`,
  recipe: (draft, c) => mergeInto(decisionOn(draft, c.wireId).length, c.length),
});

/** Edits of the wiring. */
export const electricsCommands = [
  chooseFuse,
  chooseWire,
  setWireLength,
  putDevices,
  removeDevice,
  connectPin,
  assignPins,
  wirePumpCoil,
] as const;
export type ElectricsCommand = CommandOf<(typeof electricsCommands)[number]>;
