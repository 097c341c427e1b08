import {
  type Architecture,
  type BuildDocument,
  addCircuit,
  applyCommand,
  layOutAs,
  withValueAt,
} from '../build/index.ts';
import { lantern, sampleCatalogue } from '../exchange/index.ts';
import type { TrippedBuild } from './trippedBuilds.ts';

/** Lantern with cool fuel, laid out in another architecture. */
export function laidOutAs(architecture: Architecture, from: BuildDocument = lantern) {
  const cool = withValueAt(from, 'brief.fuelTemperatureHot', { value: 303.15, unit: '°C' });
  return applyCommand(
    cool,
    layOutAs({
      document: cool,
      circuitId: cool.fuelCircuits[0]!.id,
      architecture,
      catalogue: sampleCatalogue,
    }),
  ).document;
}

type Change = readonly [path: string, value: unknown];
const changed = (build: BuildDocument, ...changes: readonly Change[]): BuildDocument =>
  changes.reduce((doc, [path, value]) => withValueAt(doc, path, value), build);

const pathOf = (build: BuildDocument, id: string, field: string): string =>
  `fuelCircuits.0.elements.${build.fuelCircuits[0]!.elements.findIndex((e) => e.id === id)}.${field}`;

const ref = (id: string) => ({ id, revision: 1 });
const share = (value: number) => ({ value, unit: '%' });
const perHour = (litres: number) => ({ value: (litres * 1e-3) / 3600, unit: 'L/h' });
const stepped = (lowShare: number, above: number, below: number) => ({
  kind: 'stepped',
  lowShare: share(lowShare),
  above: perHour(above),
  below: perHour(below),
});

const plain = laidOutAs('return-after-rail');
const surge = changed(laidOutAs('surge-tank'), [
  pathOf(laidOutAs('surge-tank'), 'lift-pump', 'item'),
  ref('P340X'),
]);
const twin = laidOutAs('twin-pumps');
const atTank = laidOutAs('return-at-tank');

/** Lantern with methanol in a staged second row and an ECU that has the outputs for it. */
const staged = (() => {
  const command = addCircuit({
    document: plain,
    catalogue: sampleCatalogue,
    fuel: { id: 'methanol', kind: 'methanol', name: 'Methanol' },
    architecture: 'return-after-rail',
  });
  return withValueAt(applyCommand(plain, command).document, 'power.ecu', ref('WEIR60'));
})();

/** A finding on a system that is not the demo's own. */
const trip = (
  rule: string,
  finding: string,
  sound: BuildDocument,
  changes: readonly Change[],
  curable: boolean,
): TrippedBuild => ({
  rule,
  finding,
  build: changed(sound, ...changes),
  soundBuild: sound,
  curable,
});

/** One build for every finding of other architectures, of several rows and of other fuels. */
export const trippedSystems: readonly TrippedBuild[] = [
  trip(
    'rail.balance',
    'rail.balance:main',
    plain,
    [
      [pathOf(plain, 'rail', 'item'), ref('HBR-4')],
      [pathOf(plain, 'rail', 'length'), { typed: { value: 2, unit: 'm' }, measured: null }],
    ],
    true,
  ),
  trip(
    'prime.time',
    'prime.time:main',
    plain,
    [
      [pathOf(plain, 'pump', 'item'), ref('P120')],
      [pathOf(plain, 'feed', 'length'), { typed: { value: 40, unit: 'm' }, measured: null }],
    ],
    true,
  ),
  trip(
    'surge.lift',
    'surge.lift:main',
    surge,
    [[pathOf(surge, 'lift-pump', 'item'), ref('P120')]],
    true,
  ),
  trip(
    'surge.volume',
    'surge.volume:surge',
    surge,
    [[pathOf(surge, 'surge', 'volume'), { value: 5e-5, unit: 'L' }]],
    true,
  ),
  trip('pump.duty', 'pump.duty:pump', surge, [[pathOf(surge, 'pump', 'item'), ref('P120')]], true),
  {
    ...trip(
      'pump.lost',
      'pump.lost:main',
      twin,
      [
        [pathOf(twin, 'pump', 'item'), ref('P340X')],
        [pathOf(twin, 'pump', 'wear'), share(0.5)],
        [pathOf(twin, 'pump-2', 'wear'), share(0.5)],
      ],
      false,
    ),
    soundBuild: plain,
  },
  trip(
    'pump.change-over',
    'pump.change-over:pump-2',
    twin,
    [
      [pathOf(twin, 'pump', 'wear'), share(0.5)],
      [pathOf(twin, 'pump-2', 'wear'), share(0.5)],
      [pathOf(twin, 'pump-2', 'control'), stepped(0, 900, 500)],
    ],
    true,
  ),
  trip(
    'pump.hysteresis',
    'pump.hysteresis:pump-2',
    twin,
    [[pathOf(twin, 'pump-2', 'control'), stepped(0, 60, 59)]],
    true,
  ),
  {
    ...trip('tank.heating', 'tank.heating:main', plain, [], false),
    soundBuild: changed(plain, ['brief.fuelTemperatureHot', { value: 273.15 + 75, unit: '°C' }]),
  },
  trip(
    'pump.controller',
    'pump.controller:pump',
    plain,
    [[pathOf(plain, 'pump', 'control'), stepped(0.6, 60, 40)]],
    false,
  ),
  trip(
    'fuel.season',
    'fuel.season:pump-fuel',
    plain,
    [
      ['fuels.0.ethanol', share(0.85)],
      ['fuels.0.ethanolLowest', share(0.51)],
    ],
    false,
  ),
  trip(
    'injector.outside-data',
    'injector.outside-data:primary/crankingCold',
    plain,
    [['limits.voltageCranking', { value: 7, unit: 'V' }]],
    false,
  ),
  trip(
    'hose.rating',
    'hose.immersed:pump-hose',
    atTank,
    [[pathOf(atTank, 'pump-hose', 'item'), ref('HBR-6')]],
    true,
  ),
  trip(
    'pump.unpowered',
    'pump.unpowered:pump-2',
    twin,
    [['power.pumpFeeds', twin.power.pumpFeeds.filter((f) => f.elementId !== 'pump-2')]],
    true,
  ),
  trip('fuel.cold-start', 'fuel.cold-start:main', plain, [['fuels.0.ethanol', share(0.85)]], false),
  trip(
    'injector.spread',
    'injector.spread:primary',
    plain,
    [
      [
        'injectorRows.0.measuredFlows',
        [640, 655, 662, 690].map((cc) => ({ value: cc / 6e7, unit: 'cc/min' })),
      ],
    ],
    true,
  ),
  trip(
    'injector.spread',
    'injector.measured:primary',
    plain,
    [
      [
        'injectorRows.0.measuredFlows',
        [650, 655].map((cc) => ({ value: cc / 6e7, unit: 'cc/min' })),
      ],
    ],
    false,
  ),
  {
    ...trip(
      'injector.row-lost',
      'injector.row-lost:second-row',
      staged,
      [['injectorRows.0.item', ref('I440')]],
      false,
    ),
    soundBuild: plain,
  },
];
