import { figureNames, single } from '../results/index.ts';

/** Figures of the harness: its wires, segments, splices, connectors, and of all of it. */
export const harnessFigure = figureNames({
  'wire.harnessLength': 'wire.{wire}.harnessLength',
  'wire.needed': 'wire.{wire}.needed',
  'wire.uncertainty': 'wire.{wire}.uncertainty',
  'segment.length': 'segment.{segment}.length',
  'segment.mapLength': 'segment.{segment}.mapLength',
  'segment.count': 'segment.{segment}.count',
  'segment.bundle': 'segment.{segment}.bundle',
  'segment.diameter': 'segment.{segment}.diameter',
  'segment.bend': 'segment.{segment}.bend',
  'segment.ties': 'segment.{segment}.ties',
  'segment.sleeve': 'segment.{segment}.sleeve',
  'segment.temperature': 'segment.{segment}.temperature',
  'passThrough.bore': 'passThrough.{passThrough}.bore',
  'passThrough.holeSaw': 'passThrough.{passThrough}.holeSaw',
  'connector.ways': 'connector.{connector}.ways',
  'connector.used': 'connector.{connector}.used',
  'connector.beside': 'connector.{connector}.beside',
  'leg.length': 'leg.{loom}.{leg}.length',
  'leg.needed': 'leg.{loom}.{leg}.needed',
  'leg.slack': 'leg.{loom}.{leg}.slack',
  'splice.segment': 'splice.{splice}.segment',
  ...single(
    'harness.copperLength',
    'harness.lowerBoundRatio',
    'harness.weight',
    'harness.cost',
    'harness.hours',
  ),
});
