import type { Build, Device } from '../../model/index.ts';
import type { Connection } from '../slices/connections.ts';

/** How a pump is fed, read from where its pins and those of its relay are wired to. */
export interface PumpFeed {
  /** the pump's device */
  readonly id: string;
  readonly circuitId: string;
  readonly elementId: string;
  /** the relay that switches it; undefined where it is fed otherwise */
  readonly relayId: string | undefined;
  readonly fuseId: string | undefined;
  /** what lies in the circuit of the relay's coil and opens in a crash */
  readonly cutOffId: string | undefined;
  /** the end of the coil that a controller switches */
  readonly trigger: 'low-side' | 'high-side' | undefined;
  readonly controllerId: string | undefined;
  /** pin of the controller; '' for the one that it has for the pump */
  readonly triggerPin: string;
}

type Devices = ReadonlyMap<string, Device>;

const device = (devices: Devices, target: Connection | undefined): Device | undefined =>
  target?.to === 'part' ? devices.get(target.partId) : undefined;

const isSwitch = ({ part }: Device): boolean => part.kind === 'cut-off' || part.kind === 'item';

/** Where an end of a coil leads to, through the switches on the way. */
function throughSwitches(
  devices: Devices,
  start: Connection | undefined,
): { readonly end: Connection | undefined; readonly passed: readonly string[] } {
  const passed: string[] = [];
  let end = start;
  for (let at = device(devices, end); at && isSwitch(at) && !passed.includes(at.id);) {
    passed.push(at.id);
    const { connections } = at;
    const came = end?.to === 'part' ? end.pin : '';
    end = Object.entries(connections).find(([pin]) => pin !== came)?.[1];
    at = device(devices, end);
  }
  return { end, passed };
}

function feedOf(devices: Devices, pump: Device): PumpFeed | undefined {
  const { part, connections } = pump;
  if (part.kind !== 'pump' || !connections['+'] || !connections['−']) return undefined;
  const above = device(devices, connections['+']);
  const relay = above?.part.kind === 'relay' ? above : undefined;
  const before = relay ? device(devices, relay.connections['30']) : above;
  const low = throughSwitches(devices, relay?.connections['85']);
  const high = throughSwitches(devices, relay?.connections['86']);
  const [trigger, end] =
    low.end?.to === 'controller'
      ? (['low-side', low.end] as const)
      : high.end?.to === 'controller'
        ? (['high-side', high.end] as const)
        : ([undefined, undefined] as const);
  return {
    id: pump.id,
    circuitId: part.circuitId,
    elementId: part.elementId,
    relayId: relay?.id,
    fuseId: before?.part.kind === 'fuse' ? before.id : undefined,
    cutOffId: high.passed[0] ?? low.passed[0],
    trigger,
    controllerId: end?.controllerId,
    triggerPin: end?.pin ?? '',
  };
}

/** The feeds of all pumps that are wired, in the order of their devices. */
export function pumpFeedsOf(document: Pick<Build, 'devices'>): PumpFeed[] {
  const present = document.devices.filter(({ state }) => state !== 'removed');
  const devices = new Map(present.map((each) => [each.id, each]));
  return present.flatMap((each) => feedOf(devices, each) ?? []);
}
