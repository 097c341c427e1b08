import {
  type Catalogue,
  type CatalogueItem,
  type PortCode,
  itemAt,
} from '../../catalogue/index.ts';
import type { CircuitElement, FuelCircuit } from '../../model/index.ts';

/** What an end screws onto. */
export interface Partner {
  readonly port: PortCode;
  /** the part that has the port; undefined where the build says the port itself */
  readonly elementId: string | undefined;
  readonly name: string;
  /** hoses that go to it, and how many it takes */
  readonly hoses: number;
  readonly takes: number;
}

/** The port of an element that stands at a joint of its circuit. */
function portAt(element: CircuitElement, item: CatalogueItem, nodeId: string) {
  if (!('from' in element)) return undefined;
  const into = element.from === nodeId;
  switch (item.category) {
    case 'fitting':
      return into ? item.firstPort : element.to === nodeId ? item.secondPort : undefined;
    case 'pump':
    case 'filter':
    case 'regulator':
    case 'filter-regulator':
    case 'dead-head-regulator':
      if ('returnNode' in element && element.returnNode === nodeId) {
        return 'returnPort' in item ? item.returnPort : undefined;
      }
      return into ? item.inletPort : element.to === nodeId ? item.outletPort : undefined;
    default:
      return undefined;
  }
}

const stands = (element: CircuitElement, nodeId: string): boolean =>
  ('from' in element && (element.from === nodeId || element.to === nodeId)) ||
  ('returnNode' in element && element.returnNode === nodeId);

/** What the catalogue says a line screws onto at a joint of its circuit; undefined where it says nothing. */
export function partnerAt(
  circuit: FuelCircuit,
  nodeId: string,
  catalogue: Catalogue,
): Partner | undefined {
  const hoses = circuit.elements.filter(
    (element) => element.kind === 'line' && stands(element, nodeId),
  ).length;
  const ports = circuit.elements.flatMap((element): Partner[] => {
    if (!('item' in element) || element.kind === 'line' || !stands(element, nodeId)) return [];
    const item = itemAt(catalogue, element.item);
    const port = item && portAt(element, item, nodeId);
    if (!item || port === undefined || port === 'none') return [];
    const inlets = item.category === 'regulator' && element.from === nodeId ? item.inlets : 1;
    return [{ port, elementId: element.id, name: element.name, hoses, takes: inlets }];
  });
  const [first] = ports;
  // Several parts at one joint each take a hose of their own: the ways of a Y-block.
  return first && { ...first, takes: ports.reduce((sum, each) => sum + each.takes, 0) };
}
