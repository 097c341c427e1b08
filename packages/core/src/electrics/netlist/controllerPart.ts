import {
  type ControllerPin,
  type EcuItem,
  type PinCapability,
  type PinStamp,
  stampOf,
} from '../../catalogue/index.ts';
import type { Controller } from '../../model/index.ts';
import {
  type InnerContact,
  type InnerElement,
  type NetPart,
  type NetPin,
  nodeOf,
} from './netlist.ts';
import { RATED, partOf, pinOf, rangeOf } from './partOf.ts';

/** A that the electronics of a controller take: typical of an engine's. */
const ELECTRONICS = 0.8;

const has = (pin: ControllerPin, capability: PinCapability): boolean =>
  pin.capabilities.includes(capability);

/** What a controller joins inside: outputs to its supply or its grounds, references, sensor grounds. */
function insideController(id: string, item: EcuItem): InnerElement[] {
  const node = (pin: ControllerPin): string => nodeOf(id, pin.id);
  const pinsWith = (kind: PinStamp['kind']): ControllerPin[] =>
    item.pins.filter((pin) => stampOf(pin.capabilities).kind === kind);
  const [supply] = pinsWith('supply');
  const [ground] = pinsWith('power ground');
  const contact = (
    leads: 'on' | 'back',
    name: string,
    from: string,
    to: string,
    resistance: number,
  ): InnerContact => ({
    kind: 'contact',
    leads,
    id: `${id} ${name}`,
    from,
    to,
    resistance,
  });
  const source = (
    name: string,
    pin: ControllerPin,
    voltage: number,
    resistance: number,
  ): InnerElement[] =>
    ground
      ? [
          {
            kind: 'source',
            id: `${id} ${name} ${pin.id}`,
            from: node(ground),
            to: node(pin),
            voltage,
            resistance,
          },
        ]
      : [];
  const stamped = (pin: ControllerPin): InnerElement[] => {
    const stamp = stampOf(pin.capabilities);
    switch (stamp.kind) {
      case 'power ground':
        return ground && pin !== ground
          ? [contact('back', `ground ${pin.id}`, node(pin), node(ground), stamp.resistance)]
          : [];
      case 'supply':
        return supply && pin !== supply
          ? [contact('on', `supply ${pin.id}`, node(supply), node(pin), stamp.resistance)]
          : [];
      case 'low side':
        return ground
          ? [
              {
                ...contact('back', `sinks ${pin.id}`, node(pin), node(ground), stamp.resistance),
                output: pin.id,
              },
            ]
          : [];
      case 'high side':
        return ground && supply
          ? [
              {
                ...contact('on', `feeds ${pin.id}`, node(supply), node(pin), stamp.resistance),
                output: pin.id,
                ...(pin.current > 0 ? { limit: pin.current } : {}),
              },
            ]
          : [];
      case 'sensor ground':
        return ground
          ? [contact('back', `sensor ground ${pin.id}`, node(pin), node(ground), stamp.resistance)]
          : [];
      case 'reference':
        return source('5 V', pin, stamp.voltage, stamp.resistance);
      case 'pull-up':
        return pin.pullUp > 0 ? source('pull-up', pin, stamp.voltage, pin.pullUp) : [];
      case 'constant supply':
      case 'input':
      case 'bus':
      // Driven to and fro, not switched on: open in every mean state, closed step by step in time.
      case 'half bridge':
      case 'logic':
        return [];
    }
  };
  // What is joined before what is switched: its grounds and supplies first.
  const joins = (pin: ControllerPin): boolean =>
    ['power ground', 'supply'].includes(stampOf(pin.capabilities).kind);
  return [
    ...pinsWith('power ground').flatMap(stamped),
    ...pinsWith('supply').flatMap(stamped),
    ...item.pins.filter((pin) => !joins(pin)).flatMap(stamped),
  ];
}

/** The part of a controller; its loads are what its electronics take, and its memory. */
export function controllerPart(
  controller: Pick<Controller, 'id' | 'name' | 'placementId' | 'loadedTogether'> & {
    readonly bundledAt: readonly string[];
    readonly terminalOf?: (pin: string) => NetPin['terminal'];
  },
  item: EcuItem,
): NetPart {
  const { id, name, terminalOf } = controller;
  const supply = item.pins.find((pin) => has(pin, 'supply-switched'));
  const ground = item.pins.find((pin) => has(pin, 'power-ground'));
  const constant = item.pins.find((pin) => has(pin, 'supply-constant'));
  const takes = (
    what: string,
    from: ControllerPin | undefined,
    current: number,
    when: 'key on' | 'always',
  ): InnerElement[] =>
    from && ground && current > 0
      ? [
          {
            kind: 'load',
            id: `${id} ${what}`,
            from: nodeOf(id, from.id),
            to: nodeOf(id, ground.id),
            current,
            voltage: RATED,
            duty: 1,
            behaviour: 'electronic',
            when,
          },
        ]
      : [];
  const own: InnerElement[] = [
    ...takes('electronics', supply, ELECTRONICS, 'key on'),
    ...takes('memory', constant, item.standbyCurrent, 'always'),
  ];
  return partOf({
    id,
    name,
    sort: 'controller',
    placementId: controller.placementId,
    pins: item.pins.map((pin) =>
      pinOf(id, name, {
        pin: pin.id,
        name: pin.name,
        use: 'controller',
        ...rangeOf(item),
        joint: 'plug',
        ...(terminalOf ? { terminal: terminalOf(pin.id) } : {}),
      }),
    ),
    inside: [...own, ...insideController(id, item)],
    loadedTogether: controller.loadedTogether,
    bundledAt: controller.bundledAt,
  });
}
