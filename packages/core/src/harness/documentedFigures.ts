import type { FigureDescription } from '../results/index.ts';

const onlyWith = 'a harness that is led' as const;

/** Figures of the harness that readers may rely on. */
export const documentedHarnessFigures: readonly FigureDescription[] = [
  {
    key: 'harness.copperLength',
    kind: 'length',
    meaning: 'All wire routed through the harness, at its cut length.',
    onlyWith,
  },
  {
    key: 'harness.lowerBoundRatio',
    kind: 'ratio',
    meaning:
      'Way of all wires along the segments over the lower bound: each drawn straight from end to end.',
    onlyWith,
  },
  {
    key: 'harness.weight',
    kind: 'mass',
    meaning:
      'Wire, covers and ends (housings, contacts, seals, lugs, splices, boots) of the harness.',
    onlyWith,
  },
  {
    key: 'harness.cost',
    kind: 'count',
    meaning: 'Materials of the harness, in the currency of the catalogue.',
    onlyWith,
  },
  {
    key: 'harness.hours',
    kind: 'workTime',
    meaning: 'Time to cut, crimp, splice, lay and cover it.',
    onlyWith,
  },
  {
    key: 'segment.ecu.count',
    kind: 'count',
    meaning: 'Wires in a segment (by its id).',
    onlyWith,
  },
  {
    key: 'segment.ecu.length',
    kind: 'length',
    meaning: 'Length of a segment: measured with a string, else along the map.',
    onlyWith,
  },
  {
    key: 'segment.ecu.diameter',
    kind: 'length',
    meaning: 'Outside diameter of a segment: its wires packed into a circle, with its cover.',
    onlyWith,
  },
  {
    key: 'segment.ecu.sleeve',
    kind: 'length',
    meaning: 'Nominal size of the cover of a segment.',
    onlyWith,
  },
  {
    key: 'passThrough.harness.bore',
    kind: 'length',
    meaning: 'Bore that a hole asks for: its looms in a grommet, and the largest plug put through.',
    onlyWith: 'a bundle through a hole',
  },
  {
    key: 'passThrough.harness.holeSaw',
    kind: 'length',
    meaning: 'Hole saw for that bore.',
    onlyWith: 'a bundle through a hole',
  },
  {
    key: 'connector.coolant.ways',
    kind: 'count',
    meaning: 'Cavities of a plug (by its part).',
    onlyWith: 'a device on the list',
  },
  {
    key: 'connector.coolant.used',
    kind: 'count',
    meaning: 'Cavities of it in which a wire ends.',
    onlyWith: 'a device on the list',
  },
  {
    key: 'splice.splice ecu:A04.segment',
    kind: 'count',
    meaning: 'Place in the list of segments of the one that holds a splice.',
    onlyWith: 'a splice that has its place',
  },
];
