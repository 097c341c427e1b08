import { type Architecture, type BuildDocument, readBuild, withValueAt } from '../model/index.ts';
import { addCircuit, layOutAs } from '../fuel/index.ts';
import { applyCommand } from '../evaluation/index.ts';
import { lantern, sampleCatalogue } from '../exchange/index.ts';
import { type TrippedBuild, highFilter } from './trippedBuilds.ts';

const HEAT_LOSS = 'fuelCircuits.main.elements.tank.heatLoss';

/** Lantern with cool fuel in a tank that stays as cool, laid out in another architecture. */
export function laidOutAs(architecture: Architecture, from: BuildDocument = lantern) {
  const cool = withValueAt(
    withValueAt(from, 'brief.fuelTemperatureHot', { value: 303.15, unit: '°C' }),
    HEAT_LOSS,
    { value: 500, unit: 'W/K' },
  );
  return applyCommand(
    cool,
    layOutAs({
      document: readBuild(cool),
      circuitId: 'main',
      architecture,
      catalogue: sampleCatalogue,
    }),
  ).document;
}

type Change = readonly [path: string, value: unknown];
const changed = (build: BuildDocument, ...changes: readonly Change[]): BuildDocument =>
  changes.reduce((doc, [path, value]) => withValueAt(doc, path, value), build);

const element = (id: string, field: string): string => `fuelCircuits.main.elements.${id}.${field}`;

const ref = (id: string) => ({ id, revision: 1 });
const share = (value: number) => ({ value, unit: '%' });
const perHour = (litres: number) => ({ value: (litres * 1e-3) / 3600, unit: 'L/h' });
const flows = (...each: readonly number[]) =>
  Object.fromEntries(each.map((cc, i) => [`${i + 1}`, { value: cc / 6e7, unit: 'cc/min' }]));
const stepped = (lowShare: number, above: number, below: number) => ({
  kind: 'stepped',
  lowShare: share(lowShare),
  above: perHour(above),
  below: perHour(below),
});

const plain = laidOutAs('return-after-rail');
const surge = changed(laidOutAs('surge-tank'), [element('lift-pump', 'item'), ref('P340X')]);
const twin = laidOutAs('twin-pumps');
const atTank = laidOutAs('return-at-tank');

/** The plain layout with an element taken out. */
const without = (...elementIds: readonly string[]): BuildDocument =>
  elementIds.reduce(
    (build, elementId) =>
      applyCommand(build, { name: 'remove-element', circuitId: 'main', elementId, assemblies: {} })
        .document,
    plain,
  );

/** Lantern with methanol in a staged second row and an ECU that has the outputs for it. */
const staged = (() => {
  const command = addCircuit({
    document: readBuild(plain),
    catalogue: sampleCatalogue,
    fuel: { id: 'methanol', kind: 'methanol', name: 'Methanol' },
    architecture: 'return-after-rail',
  });
  return withValueAt(applyCommand(plain, command).document, 'power.ecu', ref('WEIR60'));
})();

const { 'pump-2': _, ...withoutPump } = twin.devices;

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
      [element('rail', 'item'), ref('HBR-4')],
      [element('rail', 'length'), { typed: { value: 2, unit: 'm' }, measured: null }],
    ],
    true,
  ),
  trip(
    'prime.time',
    'prime.time:main',
    plain,
    [
      [element('pump', 'item'), ref('P190')],
      [element('feed', 'item'), ref('HPR-16')],
      [element('feed', 'length'), { typed: { value: 24, unit: 'm' }, measured: null }],
    ],
    true,
  ),
  trip('surge.lift', 'surge.lift:main', surge, [[element('lift-pump', 'item'), ref('P120')]], true),
  trip(
    'surge.volume',
    'surge.volume:surge',
    surge,
    [[element('surge', 'volume'), { value: 5e-5, unit: 'L' }]],
    true,
  ),
  trip('pump.duty', 'pump.duty:pump', surge, [[element('pump', 'item'), ref('P120')]], true),
  {
    ...trip(
      'pump.lost',
      'pump.lost:main',
      twin,
      [
        [element('pump', 'item'), ref('P340X')],
        [element('pump', 'wear'), share(0.5)],
        [element('pump-2', 'wear'), share(0.5)],
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
      [element('pump', 'wear'), share(0.5)],
      [element('pump-2', 'wear'), share(0.5)],
      [element('pump-2', 'control'), stepped(0, 900, 500)],
    ],
    true,
  ),
  trip(
    'pump.never-starts',
    'pump.never-starts:pump-2',
    twin,
    [
      [element('pump', 'wear'), share(0.5)],
      [element('pump-2', 'wear'), share(0.5)],
      [element('pump-2', 'control'), stepped(0, 1900, 500)],
    ],
    true,
  ),
  trip(
    'pump.shared-output',
    'pump.shared-output',
    twin,
    [[element('pump-2', 'control'), stepped(0, 60, 50)]],
    true,
  ),
  {
    ...trip('filter.protection', 'filter.injectors:main', plain, [], true),
    build: without('fine'),
  },
  { ...trip('filter.protection', 'filter.pump:main', plain, [], true), build: without('coarse') },
  trip(
    'pump.hysteresis',
    'pump.hysteresis:pump-2',
    twin,
    [[element('pump-2', 'control'), stepped(0, 60, 59)]],
    true,
  ),
  {
    ...trip(
      'tank.heating',
      'tank.heating:main',
      plain,
      [[HEAT_LOSS, { value: 10, unit: 'W/K' }]],
      false,
    ),
    soundBuild: changed(
      plain,
      [HEAT_LOSS, { value: 10, unit: 'W/K' }],
      ['brief.fuelTemperatureHot', { value: 273.15 + 75, unit: '°C' }],
    ),
  },
  trip(
    'suction.head',
    'suction.head:pump',
    plain,
    [[HEAT_LOSS, { value: 35.7, unit: 'W/K' }]],
    true,
  ),
  trip(
    'vapour.run',
    'vapour.run:main',
    plain,
    [[HEAT_LOSS, { value: 34, unit: 'W/K' }], highFilter],
    true,
  ),
  trip(
    'pump.controller',
    'pump.controller:pump',
    plain,
    [[element('pump', 'control'), stepped(0.6, 60, 40)]],
    false,
  ),
  trip(
    'fuel.season',
    'fuel.season:pump-fuel',
    plain,
    [
      ['fuels.pump-fuel.ethanol', share(0.85)],
      ['fuels.pump-fuel.ethanolLowest', share(0.51)],
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
    [[element('pump-hose', 'item'), ref('HBR-6')]],
    true,
  ),
  trip('pump.unpowered', 'pump.unpowered:pump-2', twin, [['devices', withoutPump]], true),
  trip(
    'fuel.cold-start',
    'fuel.cold-start:main',
    plain,
    [['fuels.pump-fuel.ethanol', share(0.85)]],
    false,
  ),
  trip(
    'injector.spread',
    'injector.spread:primary',
    plain,
    [['injectorRows.primary.measuredFlows', flows(640, 655, 662, 690)]],
    true,
  ),
  trip(
    'injector.spread',
    'injector.measured:primary',
    plain,
    [['injectorRows.primary.measuredFlows', flows(650, 655)]],
    false,
  ),
  {
    ...trip(
      'injector.row-lost',
      'injector.row-lost:second-row',
      staged,
      [['injectorRows.primary.item', ref('I440')]],
      false,
    ),
    soundBuild: plain,
  },
];
