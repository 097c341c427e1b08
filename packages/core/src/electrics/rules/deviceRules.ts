import { type DeviceItem, lookUp, newestOf, pinUseOf, refOf } from '../../catalogue/index.ts';
import type { BuildCommand, BuildFinding, Device, VehicleSignal } from '../../model/index.ts';
import { lowerFirst } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import { isLive } from '../network/networkCircuit.ts';
import type { Connection } from '../slices/connections.ts';
import { connect } from './connect.ts';

/** The devices that are there, with their items. */
function present({ wired, catalogue }: ElectricsChecked) {
  return wired.devices.flatMap((device): { device: Device; item: DeviceItem }[] =>
    device.state !== 'removed' && device.part.kind === 'item'
      ? [{ device, item: lookUp(catalogue, 'device', device.part.item, `devices.${device.id}`) }]
      : [],
  );
}

/** A supply, ground or reference that leads nowhere. */
const unwired: ElectricsRule = {
  id: 'device.unwired',
  source: 'every device has its supply and its ground',
  check: (checked) =>
    present(checked).flatMap(({ device, item }) => {
      const open = item.pins.filter(
        (pin) => pinUseOf(pin.use).isWired && device.connections[pin.id] === undefined,
      );
      const wired = Object.keys(device.connections).length > 0;
      if (open.length === 0 || !wired) return [];
      const names = open.map(({ name }) => name.toLowerCase()).join(', ');
      const finding: BuildFinding = {
        id: `device.unwired:${device.id}`,
        rule: 'device.unwired',
        severity: 'warn',
        where: { stage: 'devices', device: device.id },
        title: 'Device pins are not connected',
        because: `${device.name}: ${names} not wired`,
        numbers: {},
        cures: () => [{ text: 'Connect these pins' }],
      };
      return [finding];
    }),
};

/** The wires found that read 0 V in CRANK and feed what has to work then. */
function feedsWhatCranks({ wired }: ElectricsChecked, signal: VehicleSignal): boolean {
  const isIt = (target: Connection): boolean =>
    target.to === 'signal' && target.signalId === signal.id;
  return (
    Object.values(wired.power.ecuConnections).some(isIt) ||
    wired.controllers.some(({ connections }) => Object.values(connections).some(isIt)) ||
    wired.devices.some(
      ({ part, connections }) =>
        (part.kind === 'relay' || part.kind === 'fuse' || part.kind === 'injector') &&
        Object.values(connections).some(isIt),
    )
  );
}

/** Every connection that leads to one wire found, led to another. */
function ledTo(
  { wired }: ElectricsChecked,
  from: string,
  to: ElectricsChecked['wired']['vehicleSignals'][number],
): BuildCommand {
  const target: Connection = { to: 'signal', signalId: to.id };
  const changes = (path: readonly string[], connections: Readonly<Record<string, Connection>>) =>
    Object.entries(connections).flatMap(([pin, each]) =>
      each.to === 'signal' && each.signalId === from
        ? [{ path: [...path, 'connections', pin], value: target }]
        : [],
    );
  const ofEcu = Object.entries(wired.power.ecuConnections).flatMap(([pin, each]) =>
    each.to === 'signal' && each.signalId === from
      ? [{ path: ['power', 'ecuConnections', pin], value: target }]
      : [],
  );
  return {
    name: 'set-several',
    label: `Use ${to.name} as the ignition feed`.slice(0, 120),
    changes: [
      ...ofEcu,
      ...wired.devices.flatMap((d) => changes(['devices', d.id], d.connections)),
      ...wired.controllers.flatMap((c) => changes(['controllers', c.id], c.connections)),
    ],
  };
}

const deadInCrank: ElectricsRule = {
  id: 'signal.dead-in-crank',
  source: 'an ignition feed is live in RUN and in CRANK, as measured on the vehicle',
  check: (checked) =>
    checked.wired.vehicleSignals.flatMap((signal) => {
      if (isLive(signal, 'cranking') || !feedsWhatCranks(checked, signal)) return [];
      const others = checked.wired.vehicleSignals.filter(
        (other) =>
          other.id !== signal.id &&
          other.use === 'ignition feed' &&
          other.crank !== null &&
          other.run !== null &&
          isLive(other, 'cranking') &&
          isLive(other, 'idle'),
      );
      const cures: Cure<BuildCommand>[] = others.map((other) => ({
        text: `Use ${other.name}: live in RUN and in CRANK`,
        command: ledTo(checked, signal.id, other),
      }));
      const measured = { value: signal.crank?.value ?? 0, kind: 'voltage' } as const;
      const finding: BuildFinding = {
        id: `signal.dead-in-crank:${signal.id}`,
        rule: 'signal.dead-in-crank',
        severity: 'stop',
        where: { stage: 'devices', signal: signal.id },
        title: 'Ignition feed is dead while cranking',
        because: `${signal.name} reads {measured} in CRANK: everything it feeds loses power while the starter turns`,
        numbers: { measured },
        measured,
        limit: { value: 5, kind: 'voltage' },
        worse: 'lower',
        cures: () =>
          cures.length > 0 ? cures : [{ text: 'Find a wire that is live in RUN and in CRANK' }],
      };
      return [finding];
    }),
};

const sensorGround: ElectricsRule = {
  id: 'ground.sensor-to-chassis',
  source: 'sensor grounds return only to the sensor grounds of their controller',
  check: (checked) =>
    present(checked).flatMap(({ device, item }) => {
      const wrong = item.pins.filter(
        (pin) => pin.use === 'sensor-ground' && device.connections[pin.id]?.to === 'ground',
      );
      const signal = Object.values(device.connections).find((each) => each.to === 'controller');
      const unit = signal?.to === 'controller' ? signal.controllerId : 'ecu';
      const ref =
        unit === 'ecu'
          ? checked.wired.power.ecu
          : checked.wired.controllers.find(({ id }) => id === unit)?.item;
      const ground =
        ref &&
        lookUp(checked.catalogue, 'ecu', ref, unit).pins.find((pin) =>
          pin.capabilities.includes('sensor-ground'),
        );
      return wrong.map((pin): BuildFinding => ({
        id: `ground.sensor-to-chassis:${device.id}`,
        rule: 'ground.sensor-to-chassis',
        severity: 'stop',
        where: { stage: 'devices', device: device.id },
        title: 'Sensor is grounded to the chassis',
        because: `${device.name}: current in the chassis shifts its reading`,
        numbers: {},
        cures: () =>
          ground
            ? [
                {
                  text: `Ground it at pin ${ground.id} of the controller`,
                  command: connect(device, pin.id, {
                    to: 'controller',
                    controllerId: unit,
                    pin: ground.id,
                    locked: false,
                  }),
                },
              ]
            : [{ text: 'Connect it to a sensor ground of its controller' }],
      }));
    }),
};

const alternator: ElectricsRule = {
  id: 'alternator.unled',
  source:
    'a PWM-controlled alternator stays at its low default voltage, or does not charge at all, without its control signal',
  check: (checked) =>
    present(checked).flatMap(({ device, item }) => {
      if (item.role !== 'alternator') return [];
      const control = item.pins.find((pin) => pin.use === 'signal' && pin.capability === 'pwm');
      if (!control) return [];
      const target = device.connections[control.id];
      if (target?.to === 'controller' && target.pin !== '') return [];
      const plain = newestOf(checked.catalogue, 'device').find(
        (each) =>
          each.role === 'alternator' && !each.pins.some(({ capability }) => capability === 'pwm'),
      );
      const finding: BuildFinding = {
        id: `alternator.unled:${device.id}`,
        rule: 'alternator.unled',
        severity: 'warn',
        where: { stage: 'devices', device: device.id },
        title: 'Alternator has no control signal',
        because: `${device.name} is controlled by PWM; without the signal it stays at a low voltage`,
        numbers: {},
        cures: () => [
          ...(plain
            ? [
                {
                  text: `Fit ${lowerFirst(plain.designation)}`,
                  command: {
                    name: 'set-several' as const,
                    label: `Fit ${plain.designation}`,
                    changes: [
                      {
                        path: ['devices', device.id, 'part'],
                        value: { kind: 'item', item: refOf(plain) },
                      },
                    ],
                  },
                },
              ]
            : []),
          { text: 'Connect its control to a PWM output of the ECU, or fit a regulator of its own' },
        ],
      };
      return [finding];
    }),
};

/** Checks of devices, wires found, and how they are supplied and grounded. */
export const deviceRules: readonly ElectricsRule[] = [
  unwired,
  deadInCrank,
  sensorGround,
  alternator,
];
