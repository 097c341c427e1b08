import type { DeviceRole } from '../../catalogue/index.ts';
import type { NetPart, Netlist } from '../netlist/netlist.ts';

/** What wires are there for, as a person looks for them. */
export const schematicSystems = [
  'supply',
  'starting',
  'controllers',
  'pumps',
  'injection',
  'ignition',
  'sensors',
  'actuators',
  'cooling',
  'lamps',
  'bus',
] as const;
export type SchematicSystem = (typeof schematicSystems)[number];

/** The systems in words. */
export const schematicSystemWords: Readonly<Record<SchematicSystem, string>> = {
  supply: 'Supply and grounds',
  starting: 'Starting and charging',
  controllers: 'Controllers',
  pumps: 'Fuel pumps',
  injection: 'Injection',
  ignition: 'Ignition',
  sensors: 'Sensors and switches',
  actuators: 'Valves and actuators',
  cooling: 'Cooling',
  lamps: 'Lamps and gauges',
  bus: 'Bus',
};

const byRole: Readonly<Record<DeviceRole, SchematicSystem>> = {
  crank: 'sensors',
  cam: 'sensors',
  'coolant temperature': 'sensors',
  'air temperature': 'sensors',
  'fuel temperature': 'sensors',
  'oil temperature': 'sensors',
  'gearbox oil temperature': 'sensors',
  'manifold pressure': 'sensors',
  'barometric pressure': 'sensors',
  'fuel pressure': 'sensors',
  'oil pressure': 'sensors',
  'coolant pressure': 'sensors',
  'brake pressure': 'sensors',
  'throttle position': 'sensors',
  'pedal position': 'sensors',
  'electronic throttle': 'actuators',
  knock: 'sensors',
  lambda: 'sensors',
  'ethanol content': 'sensors',
  'fuel level': 'sensors',
  'tip-over': 'sensors',
  'vehicle speed': 'sensors',
  'wheel speed': 'sensors',
  'suspension travel': 'sensors',
  'steering angle': 'sensors',
  'gear position': 'sensors',
  'exhaust temperature': 'sensors',
  'ignition coil': 'ignition',
  'idle valve': 'actuators',
  'boost valve': 'actuators',
  'purge valve': 'actuators',
  'cam valve': 'actuators',
  'gearbox valve': 'actuators',
  'water pump': 'cooling',
  fan: 'cooling',
  'air conditioning clutch': 'cooling',
  starter: 'starting',
  alternator: 'starting',
  stator: 'starting',
  lamp: 'lamps',
  horn: 'lamps',
  tachometer: 'lamps',
  gauge: 'lamps',
  switch: 'sensors',
  'key switch': 'starting',
  'inertia switch': 'pumps',
  isolator: 'starting',
  'power module': 'controllers',
  display: 'bus',
  keypad: 'bus',
  socket: 'bus',
  logger: 'bus',
  'bus module': 'bus',
  'valve driver': 'actuators',
  connector: 'supply',
  stud: 'supply',
  resistor: 'bus',
  'licensed system': 'lamps',
  other: 'lamps',
};

/** The system of a part by what it is; undefined for what stands between others. */
function ownSystem({ sort, role }: NetPart): SchematicSystem | undefined {
  switch (sort) {
    case 'battery':
    case 'stud':
    case 'ground':
      return 'supply';
    case 'controller':
      return 'controllers';
    case 'pump':
      return 'pumps';
    case 'fuse':
    case 'relay':
    case 'splice':
    case 'signal':
      return undefined;
    case 'device':
    case 'switch':
      // Injectors are the only devices that are no item of the catalogue with a role.
      return role === undefined ? 'injection' : byRole[role];
  }
}

/**
 * The system of every part. A fuse, relay or splice belongs to the system of all that hangs on it,
 * to the supply where that is several.
 */
export function systemsOf({ parts, wires }: Netlist): ReadonlyMap<string, SchematicSystem> {
  const owner = new Map(
    parts.flatMap((part) => part.pins.map(({ node }) => [node, part.id] as const)),
  );
  const own = new Map(parts.map((part) => [part.id, ownSystem(part)]));
  const hangsOn = new Map<string, Set<string>>();
  for (const { from, to, partId } of wires) {
    for (const { node } of [from, to]) {
      const other = owner.get(node);
      if (other === undefined || other === partId) continue;
      hangsOn.set(other, (hangsOn.get(other) ?? new Set()).add(partId));
    }
  }
  const found = new Map<string, SchematicSystem>();
  const systemOf = (id: string, seen: ReadonlySet<string>): SchematicSystem | undefined => {
    const known = found.get(id) ?? own.get(id);
    if (known) return known;
    if (seen.has(id)) return undefined;
    const behind = new Set(
      [...(hangsOn.get(id) ?? [])].flatMap((each) => systemOf(each, new Set([...seen, id])) ?? []),
    );
    const [only] = behind;
    return behind.size === 1 ? only : behind.size > 1 ? 'supply' : undefined;
  };
  for (const { id } of parts) found.set(id, systemOf(id, new Set()) ?? 'supply');
  return found;
}
