import {
  type Evaluation,
  type LaidOutGraph,
  type LayoutEngine,
  type LayoutGraph,
  type PlacedSheet,
  type SchematicSheet,
  drawnVehicle,
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
export const sheetsOf = (evaluation: Evaluation): SchematicSheet[] =>
  systemSheets(drawnVehicle(evaluation));

/** A sheet with everything in its place. */
export const placedSheet = (sheet: SchematicSheet): Promise<PlacedSheet> =>
  layoutSheet(sheet, engine);
