import type { ControllerPin, EcuItem } from '../../catalogue/index.ts';
import type { Controller } from '../../model/index.ts';
import {
  type InnerContact,
  type InnerElement,
  type NetPart,
  type NetPin,
  nodeOf,
} from './netlist.ts';
import { RATED, partOf, pinOf, rangeOf } from './partOf.ts';

/** Resistances Ω inside a controller that switches: defaults of the trade. */
const DRIVER = 0.05;
const CHANNEL = 0.02;
const SENSOR_GROUND = 0.005;
const REFERENCE = 0.5;
/** A that the electronics of a controller take: typical of an engine's. */
const ELECTRONICS = 0.8;

const has = (
  pin: ControllerPin,
  ...capabilities: readonly ControllerPin['capabilities'][number][]
) => pin.capabilities.some((each) => capabilities.includes(each));

/** What a controller joins inside: outputs to its supply or its grounds, references, sensor grounds. */
function insideController(id: string, item: EcuItem): InnerElement[] {
  const node = (pin: ControllerPin): string => nodeOf(id, pin.id);
  const supplies = item.pins.filter((pin) => has(pin, 'supply-switched'));
  const [supply] = supplies;
  const grounds = item.pins.filter((pin) => has(pin, 'power-ground'));
  const [ground] = grounds;
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
  const inner: InnerElement[] = [
    ...grounds
      .slice(1)
      .map((pin) => contact('back', `ground ${pin.id}`, node(pin), node(ground ?? pin), 1e-3)),
    ...supplies
      .slice(1)
      .map((pin) => contact('on', `supply ${pin.id}`, node(supply ?? pin), node(pin), 1e-3)),
  ];
  if (!ground) return inner;
  for (const pin of item.pins) {
    if (has(pin, 'low-side', 'peak-hold', 'coil-driver', 'pwm') && !has(pin, 'high-side')) {
      inner.push({
        ...contact('back', `sinks ${pin.id}`, node(pin), node(ground), DRIVER),
        output: pin.id,
      });
    } else if (has(pin, 'high-side') && supply) {
      const limit = pin.current > 0 ? { limit: pin.current } : {};
      inner.push({
        ...contact('on', `feeds ${pin.id}`, node(supply), node(pin), CHANNEL),
        output: pin.id,
        ...limit,
      });
    } else if (has(pin, 'sensor-ground')) {
      inner.push(
        contact('back', `sensor ground ${pin.id}`, node(pin), node(ground), SENSOR_GROUND),
      );
    } else if (has(pin, 'reference-5v')) {
      inner.push({
        kind: 'source',
        id: `${id} 5 V ${pin.id}`,
        from: node(ground),
        to: node(pin),
        voltage: 5,
        resistance: REFERENCE,
      });
    } else if (has(pin, 'analogue-pull-up') && pin.pullUp > 0) {
      inner.push({
        kind: 'source',
        id: `${id} pull-up ${pin.id}`,
        from: node(ground),
        to: node(pin),
        voltage: 5,
        resistance: pin.pullUp,
      });
    }
  }
  return inner;
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
