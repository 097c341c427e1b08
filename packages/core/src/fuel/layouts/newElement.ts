import { quantity as q } from '../../quantities/index.ts';
import { type Catalogue, lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import { freshId } from '../circuits/circuitEdits.ts';
import { beforePump, isThrough } from '../circuits/circuitRun.ts';
import {
  type Build,
  type BuildCommand,
  type FuelCircuit,
  type InsertedElement,
  type LineElement,
  ORDER_STEP,
  writeDevice,
} from '../../model/index.ts';
import { feedLikeFirst } from './feedsFor.ts';
import { writeInserted } from '../commands/elements.ts';

/** What can be put into a run, in the words of the trade. */
export const insertable = {
  line: 'Hose or hardline',
  filter: 'Filter',
  fitting: 'Fitting or check valve',
  pump: 'Pump',
  'dead-head-regulator': 'Dead-head regulator',
  orifice: 'Restrictor',
} as const;
export type Insertable = keyof typeof insertable;

/** The nearest of some items to a figure. */
const nearest = <Item>(items: readonly Item[], off: (item: Item) => number): Item | undefined =>
  [...items].sort((a, b) => off(a) - off(b))[0];

/**
 * The edit that puts a usual part of a kind behind an element: hose like its neighbour's, a filter
 * for that side of the pump. Undefined when the catalogue has none.
 */
export function insertCommand(input: {
  document: Pick<Build, 'fuelCircuits' | 'devices'>;
  circuit: FuelCircuit;
  catalogue: Catalogue;
  afterId: string;
  kind: Insertable;
}): Extract<BuildCommand, { name: 'insert-element' }> | undefined {
  const { document, circuit, catalogue, afterId, kind } = input;
  const after = circuit.elements.find((e) => e.id === afterId);
  if (!after || !isThrough(after)) return undefined;
  const id = freshId(document, kind);
  const nodeId = freshId(document, `${id}-in`);
  const suction = beforePump(circuit, after.to);
  const element = ((): InsertedElement | undefined => {
    const name = insertable[kind];
    switch (kind) {
      case 'line': {
        const lines = circuit.elements.filter((e): e is LineElement => e.kind === 'line');
        const like =
          after.kind === 'line' ? after : (lines.find((l) => l.to === after.from) ?? lines[0]);
        if (!like) return undefined;
        const length = { typed: q(0.3, 'length', 'm'), measured: null };
        return {
          kind,
          id,
          name: 'Further hose',
          role: like.role,
          item: like.item,
          length,
          fittings: [],
        };
      }
      case 'filter': {
        const item = nearest(newestOf(catalogue, 'filter'), (f) =>
          Math.abs(Math.log(f.fineness / (suction ? 100e-6 : 10e-6))),
        );
        return item && { kind, id, name, item: refOf(item), state: 'clean' };
      }
      case 'fitting': {
        const bore =
          after.kind === 'line' ? lookUp(catalogue, 'hose', after.item, after.id).bore : 8e-3;
        const item = nearest(
          newestOf(catalogue, 'fitting').filter((f) => f.form === 'check valve'),
          (f) => Math.abs(Math.log(f.bore / bore)),
        );
        return item && { kind, id, name: 'Check valve', item: refOf(item) };
      }
      case 'pump': {
        const item = newestOf(catalogue, 'pump').find((p) => p.mounting === 'external');
        const wear = q(10, 'ratio', '%');
        return (
          item && {
            kind,
            id,
            name: 'Further pump',
            item: refOf(item),
            mounting: item.mounting,
            wear,
            control: null,
          }
        );
      }
      case 'dead-head-regulator': {
        const item = newestOf(catalogue, 'dead-head-regulator')[0];
        const kPa = item ? Math.min(300e3, item.setMax) / 1e3 : 300;
        return (
          item && { kind, id, name, item: refOf(item), setPressure: q(kPa, 'pressure', 'kPa') }
        );
      }
      case 'orifice':
        return { kind, id, name, diameter: q(4, 'length', 'mm') };
    }
  })();
  if (!element) return undefined;
  const placementId = circuit.nodes.find((n) => n.id === after.to)!.placementId;
  const devices =
    element.kind === 'pump'
      ? feedLikeFirst(document, element, { circuitId: circuit.id, placementId }, { fuse: null })
      : [];
  const first = document.devices.length + 1;
  return {
    name: 'insert-element',
    circuitId: circuit.id,
    afterId,
    elementId: id,
    element: writeInserted(element),
    nodeId,
    devices: Object.fromEntries(
      devices.map((each, i) => [each.id, writeDevice(each, ORDER_STEP * (first + i))]),
    ),
    assemblies: {},
  };
}
