import { lantern } from '../exchange/index.ts';
import { asCut } from './asCut.ts';
import { type TrippedBuild, trip, withPart } from './trippedBuilds.ts';

const ref = (id: string) => ({ id, revision: 1 });
const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
/** One build for every finding that lines and their joints can trip. */
export const trippedPlumbing: readonly TrippedBuild[] = [
  trip('joint.unlike', 'joint.unlike:feed/to', [['assemblies.feed.to.adapters', {}]]),
  trip('joint.unlike', 'joint.unlike:feed/from', [
    ['assemblies.feed.from.adapters', { a1: { order: 1000, item: ref('AT12') } }],
  ]),
  // Nothing leads from a 45° flare to a 37° one, and nothing should.
  trip(
    'joint.unlike',
    'joint.unlike:return/to',
    [['assemblies.return.to.onto', 'flare-45-6-male']],
    false,
  ),
  trip('joint.hose', 'joint.hose:feed/from', [
    ['fuelCircuits.main.elements.feed.item', ref('HBR-8')],
  ]),
  trip('joint.angle', 'joint.angle:feed/to', [['assemblies.feed.to.item', ref('E6-0')]]),
  trip('joint.swing', 'joint.swing:vent/from', [
    ['assemblies.other-vent.from', { item: ref('BE10'), onto: 'taper-6-female', adapters: {} }],
  ]),
  {
    ...trip('joint.rating', 'joint.rating:feed/from', []),
    catalogue: withPart('E6-0', { pressureRating: 2e5 }),
  },
  trip(
    'joint.shared',
    'joint.shared:feed/from',
    [
      [
        'fuelCircuits.main.elements',
        {
          ...lantern.fuelCircuits['main']!.elements,
          'feed-2': {
            kind: 'line',
            order: 9500,
            name: 'Second feed',
            from: 'fine-out',
            to: 'rail-in',
            item: ref('HBR-6'),
            role: 'feed',
            length: { typed: { value: 3.4, unit: 'm' }, measured: null },
            fittings: {},
          },
        },
      ],
    ],
    false,
  ),
  trip(
    'hose.too-short',
    'hose.too-short:pump-outlet',
    [['placements.fine-filter.x', mm(790)]],
    false,
  ),
  trip('hose.shortens', 'hose.shortens:feed', [['assemblies.feed.slack', { value: 0, unit: '%' }]]),
  trip('hose.reach', 'hose.reach:feed', [['assemblies.feed.asMade', asCut('feed', 3200)]]),
  trip('hose.hangs', 'hose.hangs:feed', [['assemblies.feed.asMade', asCut('feed', 3700)]]),
  trip('hose.twisted', 'hose.twisted:return', [
    ['assemblies.return.asMade', asCut('return', 4195, 90)],
  ]),
  trip('hose.remade', 'hose.remade:feed', [
    ['assemblies.feed.asMade', { ...asCut('feed', 3370), hose: ref('HBP-6') }],
  ]),
  trip('hose.remade', 'hose.remade:feed', [
    ['assemblies.feed.asMade', { ...asCut('feed', 3370), to: null }],
  ]),
];
