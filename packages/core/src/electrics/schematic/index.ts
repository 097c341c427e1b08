export * from './drawnSheet.ts';
export {
  type LaidOutGraph,
  type LayoutEngine,
  type LayoutGraph,
  type LayoutNode,
  type PlacedBlock,
  type PlacedSheet,
  type PlacedWire,
  type SchematicPoint,
  layoutSheet,
  pinText,
  schematicSizes,
} from './layoutSheet.ts';
export * from './schematicSheet.ts';
export * from './schematicSheets.ts';
export * from './systems.ts';
export * from './schematicInk.ts';
