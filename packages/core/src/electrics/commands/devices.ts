import { command, entryOf } from '../../model/command.ts';
import type { DocumentDraft } from '../../model/edit.ts';
import { choice, nullable, object, record, text } from '../../model/spec.ts';
import { placementSpec } from '../../vehicle/model.ts';
import { connectionSpec } from '../slices/connections.ts';
import { type Connections, allConnections } from './allConnections.ts';
import { deviceSpec } from '../slices/devices.ts';

const id = text({ min: 1, max: 60 });
const pin = text({ min: 1, max: 20 });

/** Puts devices in, or over those of the same id, with the places that they bring along. */
export const putDevices = command({
  name: 'put-devices',
  fields: {
    label: text({ min: 1, max: 160 }),
    devices: record(deviceSpec, { max: 200 }),
    placements: record(placementSpec, { max: 200 }),
  },
  words: (c) => c.label,
  recipe(draft, c) {
    Object.assign(draft.placements, c.placements);
    Object.assign(draft.devices, c.devices);
  },
});

/** A row that asks for a device that is gone says no more when its switch is on: it is as usual again. */
function dropRowsThatAsk(draft: DocumentDraft, deviceId: string): void {
  for (const [rowId, { ways }] of Object.entries(draft.switching)) {
    const asks = Object.values(ways).some(({ conditions }) =>
      Object.values(conditions).some(
        (condition) => 'deviceId' in condition && condition.deviceId === deviceId,
      ),
    );
    if (asks) delete draft.switching[rowId];
  }
}

/** Takes a device out; what was wired to it is wired to nothing then, what it switched is as usual. */
export const removeDevice = command({
  name: 'remove-device',
  fields: { deviceId: id },
  words: (c) => `Remove ${c.deviceId} from the devices`,
  recipe(draft, { deviceId }) {
    entryOf(draft.devices, deviceId, 'device');
    delete draft.devices[deviceId];
    for (const connections of allConnections(draft)) {
      for (const [from, target] of Object.entries(connections)) {
        if (target.to === 'part' && target.partId === deviceId) delete connections[from];
      }
    }
    dropRowsThatAsk(draft, deviceId);
  },
});

const ownerSpec = object({ kind: choice(['device', 'controller', 'ecu']), id });

/** Wires a pin of a part to something, or to nothing. */
export const connectPin = command({
  name: 'connect-pin',
  fields: { owner: ownerSpec, pin, connection: nullable(connectionSpec) },
  words: (c) => `${c.connection ? 'Wire' : 'Disconnect'} ${c.owner.id} ${c.pin}`,
  recipe(draft, { owner, pin: from, connection }) {
    const connections =
      owner.kind === 'ecu'
        ? draft.power.ecuConnections
        : owner.kind === 'device'
          ? entryOf(draft.devices, owner.id, 'device').connections
          : entryOf(draft.controllers, owner.id, 'controller').connections;
    if (connection) (connections as Connections)[from] = connection;
    else delete connections[from];
  },
});

/** Puts signals of devices on pins of a controller. */
export const assignPins = command({
  name: 'assign-pins',
  fields: {
    controllerId: id,
    /** pin of the controller by device and pin */
    devices: record(record(text({ min: 0, max: 20 }), { max: 80, key: 20 }), { max: 600 }),
  },
  words: (c) => `Assign pins of ${c.controllerId}`,
  recipe(draft, { controllerId, devices }) {
    for (const [deviceId, pins] of Object.entries(devices)) {
      const { connections } = entryOf(draft.devices, deviceId, 'device');
      for (const [from, to] of Object.entries(pins)) {
        const present = connections[from];
        const locked = present?.to === 'controller' && present.locked;
        connections[from] = { to: 'controller', controllerId, pin: to, locked };
      }
    }
  },
});
