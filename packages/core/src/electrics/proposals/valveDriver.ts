import {
  type Catalogue,
  type DeviceItem,
  type DevicePin,
  newestOf,
  refOf,
} from '../../catalogue/index.ts';
import { type Build, type Change, type Device, ORDER_STEP } from '../../model/index.ts';
import { plainDevice } from '../slices/plainDevice.ts';
import { freeId, toPin } from './newDevice.ts';

type Wired = Pick<Build, 'devices' | 'controllers' | 'grounds' | 'power'>;

/** The pins of a driver that makes two pulses against each other out of one. */
function driverPins({ pins }: DeviceItem) {
  const of = (test: (pin: DevicePin) => boolean) => pins.find(test);
  const supply = of(({ use }) => use === 'supply');
  const earth = of(({ use }) => use === 'ground');
  const input = of(({ use, capability }) => use === 'signal' && capability === 'pwm');
  const output = of(({ use, pairedWith }) => use === 'through' && pairedWith !== '');
  if (!supply || !earth || !input || !output) return undefined;
  return { supply, earth, input, outputs: [output.id, output.pairedWith] as const };
}

/**
 * The values that put a driver between a controller and a valve that is drawn open and closed: it
 * hangs on the valve's feed and asks the controller for one pulse. Undefined where no such driver is
 * known, or where the valve is fed from nowhere.
 */
export function valveDriver(input: {
  readonly wired: Wired;
  readonly catalogue: Catalogue;
  readonly controllerId: string;
  readonly valve: Device;
  readonly item: DeviceItem;
  /** the pin of the controller that makes the pulse; empty while it is to be found */
  readonly pinFor: (need: DevicePin) => string;
}): { readonly item: DeviceItem; readonly changes: readonly Change[] } | undefined {
  const { wired, catalogue, controllerId, valve, item } = input;
  const feed = item.pins.find(({ use }) => use === 'supply');
  const drawn = item.pins.filter(({ pairedWith }) => pairedWith !== '');
  const source = feed && valve.connections[feed.id];
  const ground = wired.grounds.find(({ on }) => on !== 'engine');
  if (!source || !ground) return undefined;
  for (const driver of newestOf(catalogue, 'device')) {
    const pins = driver.role === 'valve driver' ? driverPins(driver) : undefined;
    if (!pins || drawn.length !== pins.outputs.length) continue;
    const id = freeId(wired, 'valve-driver');
    return {
      item: driver,
      changes: [
        {
          path: ['devices', id],
          value: {
            ...plainDevice,
            order: ORDER_STEP * (wired.devices.length + 1),
            name: `Driver, ${valve.name}`,
            part: { kind: 'item', item: refOf(driver) },
            placementId: wired.power.studPlacementId,
            connections: {
              [pins.supply.id]: source,
              [pins.earth.id]: { to: 'ground', groundId: ground.id },
              [pins.input.id]: toPin(controllerId, input.pinFor(pins.input)),
            },
          },
        },
        ...drawn.map((pin, i) => ({
          path: ['devices', valve.id, 'connections', pin.id],
          value: { to: 'part', partId: id, pin: pins.outputs[i] ?? '' },
        })),
      ],
    };
  }
  return undefined;
}
