import type { CircuitElement } from '../../model/index.ts';
import { deadHeadRegulator } from './deadHeadRegulator.ts';
import type { ElementKindEntry } from './elementKind.ts';
import { filter } from './filter.ts';
import { filterRegulator } from './filterRegulator.ts';
import { fitting } from './fitting.ts';
import { injectors } from './injectors.ts';
import { line } from './line.ts';
import { orifice } from './orifice.ts';
import { pump } from './pump.ts';
import { regulator } from './regulator.ts';
import { surgeTank } from './surgeTank.ts';
import { tank } from './tank.ts';

type Entries = {
  readonly [Kind in CircuitElement['kind']]: ElementKindEntry<
    Extract<CircuitElement, { kind: Kind }>
  >;
};

/** Every kind of circuit element, one entry each. */
export const elementKinds: Entries = {
  tank,
  line,
  fitting,
  filter,
  pump,
  regulator,
  'filter-regulator': filterRegulator,
  'dead-head-regulator': deadHeadRegulator,
  orifice,
  'surge-tank': surgeTank,
  injectors,
};

/** The entry of an element's kind; the kind says that entry and element belong together. */
export const elementKindOf = <Element extends CircuitElement>(
  element: Element,
): ElementKindEntry<Element> => elementKinds[element.kind] as unknown as ElementKindEntry<Element>;

/** The joints of an element by port. */
export const portsOf = (element: CircuitElement): (readonly [port: string, node: string])[] =>
  elementKindOf(element).ports.map((port) => [port, String(element[port])] as const);

/** Ways of the fuel through an element, from joint to joint. */
export const waysOf = (element: CircuitElement): (readonly [from: string, to: string])[] =>
  elementKindOf(element).ways.map(
    ([from, to]) => [String(element[from]), String(element[to])] as const,
  );
