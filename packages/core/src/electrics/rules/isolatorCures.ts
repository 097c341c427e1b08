import { type DeviceItem, lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildCommand, Device } from '../../model/index.ts';
import { lowerFirst } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked } from '../checked.ts';

/** A contact of an isolator on which nothing hangs: the pins at its ends. */
function freePole(
  { wired }: ElectricsChecked,
  item: DeviceItem,
  device: Device,
): readonly [string, string] | undefined {
  const isTaken = (pin: string): boolean =>
    device.connections[pin] !== undefined ||
    wired.devices.some(({ connections }) =>
      Object.values(connections).some(
        (to) => to.to === 'part' && to.partId === device.id && to.pin === pin,
      ),
    );
  const pole = item.pins.find(
    ({ id, behaviour, through }) => behaviour === 'contact' && !isTaken(id) && !isTaken(through),
  );
  return pole && [pole.id, pole.through];
}

/** An isolator with a pole that is free: the one that is there, or another with the same main pole. */
function withFreePole(checked: ElectricsChecked, device: Device) {
  if (device.part.kind !== 'item') return undefined;
  const present = lookUp(checked.catalogue, 'device', device.part.item, `devices.${device.id}`);
  const used = new Set(Object.keys(device.connections));
  for (const item of [present, ...newestOf(checked.catalogue, 'device')]) {
    if (item.role !== present.role) continue;
    const ids = new Set(item.pins.map(({ id }) => id));
    const pole = freePole(checked, item, device);
    if (pole && [...used].every((pin) => ids.has(pin)))
      return { item, isNew: item !== present, pole };
  }
  return undefined;
}

/** Leads the coil of the relay that feeds the engine's controller over a free pole of the isolator. */
export function overTheIsolator(
  checked: ElectricsChecked,
  relayId: string | undefined,
): Cure<BuildCommand>[] {
  const isolatorId = checked.electrics.netlist.parts.find(({ role }) => role === 'isolator')?.id;
  const isolator = checked.wired.devices.find(({ id }) => id === isolatorId);
  const relay = checked.wired.devices.find(({ id }) => id === relayId);
  const found = isolator && withFreePole(checked, isolator);
  if (!isolator || !relay || !found) return [];
  const side = (['86', '85'] as const).find((pin) => {
    const to = relay.connections[pin];
    return to !== undefined && to.to !== 'controller';
  });
  const before = side && relay.connections[side];
  if (!side || !before) return [];
  const { item, isNew, pole } = found;
  const text = isNew
    ? `Fit ${lowerFirst(item.designation)} and route the coil of ${relay.name} through it`
    : `Route the coil of ${relay.name} through the second pole of ${isolator.name}`;
  return [
    {
      text,
      command: {
        name: 'set-several',
        label: text.slice(0, 160),
        changes: [
          ...(isNew
            ? [
                {
                  path: ['devices', isolator.id, 'part'],
                  value: { kind: 'item', item: refOf(item) },
                },
              ]
            : []),
          { path: ['devices', isolator.id, 'connections', pole[0]], value: before },
          {
            path: ['devices', relay.id, 'connections', side],
            value: { to: 'part', partId: isolator.id, pin: pole[1] },
          },
        ],
      },
    },
  ];
}
