import { type DeviceItem, lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildCommand, Device } from '../../model/index.ts';
import { lowerFirst } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked } from '../checked.ts';
import type { ControllerSignal } from '../pins/problemOf.ts';
import { toPin } from '../proposals/newDevice.ts';
import { valveDriver } from '../proposals/valveDriver.ts';
import type { Connection } from '../slices/connections.ts';
import { type Unit, freeFor } from './unit.ts';

/** Another valve in the place of one, fed from where that one was, its other pin still to be found. */
function fitted(
  device: Device,
  valve: DeviceItem,
  source: Connection,
  unitId: string,
): Cure<BuildCommand> {
  const at = (field: string) => ['devices', device.id, field];
  const connections = Object.fromEntries(
    valve.pins.flatMap(({ id, use }): [string, Connection][] => {
      if (use === 'supply') return [[id, source]];
      return use === 'signal' ? [[id, toPin(unitId, '')]] : [];
    }),
  );
  return {
    text: `Fit ${lowerFirst(valve.designation)}`,
    command: {
      name: 'set-several',
      label: `Fit ${valve.designation}`,
      changes: [
        { path: at('part'), value: { kind: 'item', item: refOf(valve) } },
        { path: at('connections'), value: connections },
      ],
    },
  };
}

/** The ways out of a valve of three wires, the plainest first. */
function valveCures(
  { wired, catalogue }: ElectricsChecked,
  unit: Unit,
  device: Device,
  item: DeviceItem,
  assigned: ReadonlyMap<string, string>,
): Cure<BuildCommand>[] {
  const plain = newestOf(catalogue, 'device').find(
    (other) =>
      other.role === 'idle valve' && other.pins.every(({ pairedWith }) => pairedWith === ''),
  );
  const driven = valveDriver({
    wired,
    catalogue,
    controllerId: unit.id,
    valve: device,
    item,
    pinFor: (need) => freeFor(unit, need, assigned)[0]?.id ?? '',
  });
  const own = item.pins.find(({ use }) => use === 'supply');
  const source = own && device.connections[own.id];
  const fit = plain && source ? [fitted(device, plain, source, unit.id)] : [];
  return [
    ...fit,
    {
      text: 'Cap it and hold idle by timing and the throttle stop',
      command: { name: 'set', path: ['devices', device.id, 'state'], value: 'removed' },
    },
    driven
      ? {
          text: `Fit a driver between them: ${lowerFirst(driven.item.designation)}`,
          command: {
            name: 'set-several',
            label: `A driver for ${device.name}`.slice(0, 120),
            changes: driven.changes,
          },
        }
      : { text: 'Fit a driver that makes both PWM signals from one' },
  ];
}

/** An idle valve that is drawn open and closed, on a unit that can only do one. */
export function threeWireValve(
  checked: ElectricsChecked,
  unit: Unit,
  signals: readonly ControllerSignal[],
  assigned: ReadonlyMap<string, string>,
): { readonly device: Device; readonly cures: () => Cure<BuildCommand>[] } | undefined {
  const { wired, catalogue } = checked;
  const [first] = signals;
  const device = wired.devices.find(({ id }) => id === first?.partId);
  if (!first || device?.part.kind !== 'item') return undefined;
  const item = lookUp(catalogue, 'device', device.part.item, device.id);
  const isPair = item.role === 'idle valve' && first.need.pairedWith !== undefined;
  if (!isPair || !signals.every(({ partId }) => partId === device.id)) return undefined;
  return { device, cures: () => valveCures(checked, unit, device, item, assigned) };
}
