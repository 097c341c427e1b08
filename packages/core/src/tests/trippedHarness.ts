import { lantern, sampleCatalogue, sandpiper } from '../exchange/index.ts';
import { refOf } from '../catalogue/index.ts';
import { plainSegment } from '../harness/index.ts';
import { type BuildDocument, withValueAt } from '../model/index.ts';
import type { Change, TrippedBuild } from './trippedBuilds.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });

const withChanges = (changes: readonly Change[]): BuildDocument =>
  changes.reduce((document, [path, value]) => withValueAt(document, path, value), sandpiper);

const trip = (
  rule: string,
  of: string,
  changes: readonly Change[],
  more: Partial<TrippedBuild> = {},
): TrippedBuild => ({
  rule,
  finding: of === '' ? rule : `${rule}:${of}`,
  build: withChanges(changes),
  soundBuild: sandpiper,
  curable: true,
  ...more,
});

const segment = (id: string, field: string): string => `harness.segments.${id}.${field}`;
const ends = (from: string, to: string) => ({
  from: { at: 'breakout', breakoutId: from },
  to: { at: 'breakout', breakoutId: to },
});
const plain = {
  order: 90_000,
  ...plainSegment,
};
const corner = (id: string, point: string, axis: string, value: number): Change => [
  segment(id, `points.${point}.${axis}`),
  mm(value),
];

/** A catalogue whose covers of one form take nothing, or stand less. */
const covers = (change: (item: object) => object) => ({
  items: sampleCatalogue.items.map((item) =>
    item.category === 'cover' && item.form === 'tape' ? (change(item) as typeof item) : item,
  ),
});

const with_ = (id: string, stored: object): Change => [
  'harness.segments',
  { ...sandpiper.harness.segments, [id]: stored },
];

const { air: _, ...withoutAir } = sandpiper.harness.segments;

const legOf = (id: string) => sandpiper.harness.bought['stator-loom']!.legs[id]!;
const loomLeg = (id: string, field: string): string =>
  `harness.bought.stator-loom.legs.${id}.${field}`;

const { ways } = lantern.devices['cab-connector']!;
const withoutCrank = Object.fromEntries(
  Object.entries(ways).filter(([, { wireId }]) => !wireId.startsWith('crank~')),
);
const smallConnector = refOf(sampleCatalogue.items.find(({ id }) => id === 'DV-BH24')!);

/** One build for every finding that a harness can trip. */
export const trippedHarness: readonly TrippedBuild[] = [
  trip('harness.loop', 'second', [
    with_('second', { ...plain, name: 'Second way', ...ends('right', 'box') }),
  ]),
  trip('harness.unled', '', [['harness.segments', withoutAir]]),
  trip('harness.mass', '', [['harness.massBudget', { value: 1, unit: 'kg' }]]),
  trip('segment.shape', 'over', [[segment('over', 'points.c1.radius'), mm(900)]]),
  trip('segment.shape', 'spare', [
    with_('spare', { ...plain, name: 'Nowhere', ...ends('right', 'right') }),
  ]),
  trip('segment.bend', 'right-rail', [[segment('right-rail', 'points.c1.radius'), mm(30)]]),
  trip('segment.heat', 'starter', [
    corner('starter', 'c2', 'x', 560),
    corner('starter', 'c2', 'y', -258),
    corner('starter', 'c2', 'z', 345),
    [segment('starter', 'points.c2.radius'), mm(50)],
  ]),
  trip('segment.moving', 'tail', [
    corner('tail', 'c1', 'y', -205),
    corner('tail', 'c1', 'z', 690),
    corner('tail', 'c2', 'y', -205),
    corner('tail', 'c2', 'z', 690),
  ]),
  trip('segment.edge', 'tail', [
    ['edges.tank-strap.from', { x: mm(100), y: mm(-236), z: mm(800) }],
    ['edges.tank-strap.to', { x: mm(100), y: mm(-236), z: mm(850) }],
  ]),
  trip('segment.solid', 'tail', [corner('tail', 'c1', 'y', -120), corner('tail', 'c2', 'y', -120)]),
  trip('segment.component', 'tail', [
    corner('tail', 'c1', 'y', 250),
    corner('tail', 'c1', 'z', 800),
    corner('tail', 'c2', 'y', 250),
  ]),
  trip('segment.sheet', 'front', [
    [
      'sheets',
      {
        nose: {
          name: 'Nose plate',
          seals: false,
          corner: { x: mm(1500), y: mm(-500), z: mm(500) },
          next: { x: mm(1500), y: mm(500), z: mm(500) },
          other: { x: mm(1500), y: mm(-500), z: mm(900) },
          passThroughs: {},
        },
      },
    ],
  ]),
  trip('segment.flex', 'over', [[segment('over', 'loop'), mm(20)]]),
  trip('segment.measured', 'front', [[segment('front', 'measured'), { value: 1.4, unit: 'mm' }]], {
    curable: false,
  }),
  trip('segment.laced', 'cross', [[segment('cross', 'cover'), 'none']]),
  trip('segment.cover', 'cross', [], {
    catalogue: covers((item) => ({ ...item, bundleMax: 0.01 })),
  }),
  trip('segment.cover-heat', 'over', [], {
    catalogue: covers((item) => ({ ...item, temperatureLimit: 320 })),
  }),
  trip('segment.hot', 'over', [], {
    catalogue: {
      items: sampleCatalogue.items.map((item) =>
        item.category === 'wire' ? { ...item, insulationClass: 322 } : item,
      ),
    },
    curable: false,
  }),
  {
    rule: 'hole.plug',
    finding: 'hole.plug:harness',
    build: withValueAt(lantern, 'sheets.cab-floor-right.passThroughs.harness.bore', {
      value: 0.03,
      unit: 'mm',
    }),
    soundBuild: lantern,
    curable: true,
  },
  // Away from the floor the connector is none of its hole: the loom and its plugs go through it.
  {
    rule: 'hole.plug',
    finding: 'hole.plug:harness',
    build: withValueAt(
      withValueAt(lantern, 'placements.cab-connector.z', mm(880)),
      'sheets.cab-floor-right.passThroughs.harness.bore',
      mm(30),
    ),
    soundBuild: lantern,
    curable: true,
  },
  {
    rule: 'connector.past',
    finding: 'connector.past:cab-connector',
    build: withValueAt(lantern, 'devices.cab-connector.ways', withoutCrank),
    soundBuild: lantern,
    curable: true,
  },
  {
    rule: 'connector.past',
    finding: 'connector.past:cab-connector',
    build: [
      ['devices.cab-connector.ways', {}] as const,
      ['devices.cab-connector.part', { kind: 'item', item: smallConnector }] as const,
    ].reduce((document, [path, value]) => withValueAt(document, path, value), lantern),
    soundBuild: lantern,
    curable: true,
  },
  {
    rule: 'connector.way',
    finding: 'connector.way:cab-studs',
    build: withValueAt(lantern, 'devices.cab-studs.ways', {
      ...lantern.devices['cab-studs']!.ways,
      // From the ECU to the panel, both in the cab.
      '8A': { wireId: 'ecu~A01', fromHere: true },
    }),
    soundBuild: lantern,
    curable: true,
  },
  trip('leg.short', 'stator-loom/fuse', [[loomLeg('fuse', 'length'), mm(700)]]),
  trip('leg.long', 'stator-loom/fuse', [[loomLeg('fuse', 'length'), mm(1400)]]),
  trip('leg.turned', 'stator-loom/ground', [[loomLeg('ground', 'leaves'), 'on']]),
  trip('leg.unled', 'stator-loom/ground', [[loomLeg('ground', 'placementId'), 'tank-top']], {
    curable: false,
  }),
  {
    rule: 'repin.twice',
    finding: 'repin.twice:instruments/c7',
    build: withValueAt(
      lantern,
      'harness.repinned.instruments.cavities.c7.after',
      'Tachometer from the ECU',
    ),
    soundBuild: lantern,
    curable: true,
  },
  // With plugs on at both ends no sleeve of braid goes on between them.
  trip('threading.blocked', 'coils BS6', [
    ['harness.school', 'braided'],
    [
      'harness.bought',
      {
        coils: {
          order: 2000,
          name: 'Coil loom',
          placementId: 'ecu',
          price: null,
          legs: { coils: { ...legOf('fuse'), placementId: 'coil-seat' } },
        },
      },
    ],
  ]),
  trip('harness.cut-short', '', [['harness.cut.air~1.length', mm(400)]]),
  trip('segment.closed', 'coolant', [[segment('coolant', 'closed'), true]]),
  trip('splice.site', 'splice ecu:A04', [
    [
      'harness.splices',
      {
        ...sandpiper.harness.splices,
        'splice ecu:A04': { segmentId: 'over', share: { value: 0, unit: '%' } },
      },
    ],
  ]),
  trip('wire.colour', 'throttle', [
    [
      'harness.colours',
      {
        'throttle~1': { colour: 'green', stripe: null },
        'throttle~3': { colour: 'green', stripe: null },
      },
    ],
  ]),
];
