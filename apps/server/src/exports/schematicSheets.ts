import {
  type Evaluation,
  type LaidOutGraph,
  type LayoutEngine,
  type LayoutGraph,
  type PlacedSheet,
  type SchematicSheet,
  drawnNetlist,
  layoutSheet,
  systemSheets,
} from '@brookrain/core';
import { createRequire } from 'node:module';

interface Elk {
  layout(graph: LayoutGraph): Promise<LaidOutGraph>;
}
const Elk = createRequire(import.meta.url)('elkjs/lib/elk.bundled.js') as new () => Elk;
const elk = new Elk();
const engine: LayoutEngine = (graph) =>
  // The layout writes into what it is given.
  elk.layout(structuredClone(graph));

/** The sheets of a build’s schematic, a system after the other. */
export const sheetsOf = ({ electrics }: Evaluation): SchematicSheet[] => {
  const sizes = new Map(electrics.wires.map(({ wire, size }) => [wire.id, size.size]));
  return systemSheets(drawnNetlist(electrics.netlist, (id) => sizes.get(id) ?? ''));
};

/** A sheet with everything in its place. */
export const placedSheet = (sheet: SchematicSheet): Promise<PlacedSheet> =>
  layoutSheet(sheet, engine);
