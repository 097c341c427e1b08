import {
  type Catalogue,
  type CatalogueItem,
  type ServicedFrom,
  type Side,
  hasBody,
  lookUp,
} from '../../catalogue/index.ts';
import type { CircuitElement, FuelCircuit, Placement, PowerDesign } from '../../model/index.ts';
import { type OrientedBox, axesOf, outOfFrame } from '../geometry/orientedBox.ts';
import { type Vector, scale } from '../geometry/vector.ts';
import { vectorOf } from '../places/vectorOf.ts';

/** Items that take room on the vehicle. */
export type BodyItem = Extract<CatalogueItem, { readonly bodyLength: number }>;

/** A fuel port of a component: where it is, and which way a hose leaves it. */
export interface Port {
  readonly at: Vector;
  readonly direction: Vector;
  /** of a part, which side of it */
  readonly side?: Side;
  /** undefined where a bare place says which way it looks */
  readonly componentId: string | undefined;
}

/** What of an item says how much room it takes and asks. */
export type BodyFacts = Pick<
  BodyItem,
  'bodyLength' | 'bodyWidth' | 'bodyHeight' | 'serviceRoom' | 'splashProof'
> & { readonly plugSide?: Side; readonly plugRoom?: number };

/** A part that sits at a place of the vehicle. */
export interface PlacedComponent<Item extends BodyFacts = BodyItem> {
  /** id of the element, or what it is of the power supply */
  readonly id: string;
  readonly name: string;
  readonly placement: Placement;
  readonly item: Item;
  readonly body: OrientedBox;
  readonly carriesFuel: boolean;
  readonly servicedFrom: ServicedFrom;
}

/** The port of a place without a body, out of its front; undefined where nobody said which way it looks. */
function barePort(place: Placement): Port | undefined {
  const { heading, pitch } = place;
  if (!heading && !pitch) return undefined;
  const [direction] = axesOf({ heading: heading?.value ?? 0, pitch: pitch?.value ?? 0 });
  return { at: vectorOf(place), direction, componentId: undefined };
}

/** What of the power supply takes room. */
export type MountedPower = Pick<
  PowerDesign,
  'battery' | 'batteryPlacementId' | 'ecu' | 'ecuPlacementId'
>;

export interface ComponentsInput {
  readonly placements: readonly Placement[];
  readonly circuits: readonly FuelCircuit[];
  readonly power: MountedPower;
  readonly catalogue: Catalogue;
}

/** Everything on the vehicle that has a body, and the ports of fuel by circuit and node. */
export interface PlacedComponents {
  readonly components: readonly PlacedComponent[];
  readonly ports: Readonly<Record<string, Port>>;
}

/** The key of a node of a circuit among the ports. */
export const portKey = (circuitId: string, nodeId: string): string => `${circuitId}/${nodeId}`;

/** The key of a place without a body among the ports. */
export const placeKey = (placementId: string): string => portKey('', placementId);

/** Forward, left and up: which axis a side lies on, and to which end. */
export const sideAxes: Readonly<Record<Side, readonly [axis: 0 | 1 | 2, sign: 1 | -1]>> = {
  front: [0, 1],
  back: [0, -1],
  left: [1, 1],
  right: [1, -1],
  top: [2, 1],
  bottom: [2, -1],
};

/** The middle of a side of a body, and the direction out of it. */
export function sideOf(body: OrientedBox, side: Side): { at: Vector; direction: Vector } {
  const [axis, sign] = sideAxes[side];
  const at: [number, number, number] = [0, 0, 0];
  at[axis] = sign * body.half[axis];
  return { at: outOfFrame(body, at), direction: scale(body.axes[axis], sign) };
}

/** The box of an item that sits at a place. */
export const bodyAt = (place: Placement, item: BodyFacts): OrientedBox => ({
  middle: vectorOf(place),
  axes: axesOf({ heading: place.heading?.value ?? 0, pitch: place.pitch?.value ?? 0 }),
  half: [item.bodyLength / 2, item.bodyWidth / 2, item.bodyHeight / 2],
});

/** The part of the catalogue that an element is, where it takes room outside of a tank. */
function itemOfElement(element: CircuitElement, catalogue: Catalogue): BodyItem | undefined {
  switch (element.kind) {
    case 'pump':
      return element.mounting === 'external'
        ? lookUp(catalogue, 'pump', element.item, element.id)
        : undefined;
    case 'filter': {
      const filter = lookUp(catalogue, 'filter', element.item, element.id);
      return filter.form === 'in-line' ? filter : undefined;
    }
    case 'regulator':
      return lookUp(catalogue, 'regulator', element.item, element.id);
    case 'filter-regulator':
      return lookUp(catalogue, 'filter-regulator', element.item, element.id);
    case 'dead-head-regulator':
      return lookUp(catalogue, 'dead-head-regulator', element.item, element.id);
    case 'tank':
    case 'surge-tank':
    case 'fitting':
    case 'line':
    case 'orifice':
    case 'injectors':
      return undefined;
  }
}

/** Nodes of an element with the side of its body that each is on. */
function sidesOf(element: CircuitElement, item: BodyItem): readonly (readonly [string, Side])[] {
  if (!('from' in element) || !('inletSide' in item)) return [];
  return [
    [element.from, item.inletSide],
    [element.to, item.outletSide],
    ...('returnNode' in element && 'returnSide' in item
      ? [[element.returnNode, item.returnSide] as const]
      : []),
  ];
}

/** Finds every part that sits at a place of the vehicle. */
export function placedComponents({
  placements,
  circuits,
  power,
  catalogue,
}: ComponentsInput): PlacedComponents {
  const components: PlacedComponent[] = [];
  const ports: Record<string, Port> = {};
  const placeAt = new Map(placements.map((place) => [place.id, place]));
  const bodied = new Set<string>();
  const put = (
    id: string,
    name: string,
    placement: Placement | undefined,
    item: BodyItem,
    carriesFuel: boolean,
  ): PlacedComponent | undefined => {
    if (!placement || !hasBody(item)) return undefined;
    const { servicedFrom } = item;
    const body = bodyAt(placement, item);
    const component = { id, name, placement, item, body, carriesFuel, servicedFrom };
    components.push(component);
    bodied.add(placement.id);
    return component;
  };
  for (const circuit of circuits) {
    const placeOf = new Map(circuit.nodes.map((node) => [node.id, node.placementId]));
    for (const element of circuit.elements) {
      const item = itemOfElement(element, catalogue);
      if (!item || !('from' in element)) continue;
      // What is screwed onto a rail begins at the place of that; it sits where its other end is.
      const place = placeOf.get(element.to);
      if (place === undefined) continue;
      const component = put(element.id, element.name, placeAt.get(place), item, true);
      if (!component) continue;
      for (const [node, side] of sidesOf(element, item)) {
        if (placeOf.get(node) !== place) continue;
        ports[portKey(circuit.id, node)] ??= {
          ...sideOf(component.body, side),
          side,
          componentId: element.id,
        };
      }
    }
  }
  for (const place of placements) {
    const port = bodied.has(place.id) ? undefined : barePort(place);
    if (port) ports[placeKey(place.id)] = port;
  }
  for (const { id, nodes } of circuits) {
    for (const node of nodes) {
      const port = ports[placeKey(node.placementId)];
      if (port) ports[portKey(id, node.id)] ??= port;
    }
  }
  const battery = lookUp(catalogue, 'battery', power.battery, 'power.battery');
  put('battery', 'Battery', placeAt.get(power.batteryPlacementId), battery, false);
  const ecu = lookUp(catalogue, 'ecu', power.ecu, 'power.ecu');
  put('ecu', 'ECU', placeAt.get(power.ecuPlacementId), ecu, false);
  return { components, ports };
}
