import { describe, test } from 'vitest';
import { lantern } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { laidOutAs } from '../../tests/trippedSystems.ts';
import { type Turn, expectTurn } from '../../tests/turningPoint.ts';

type Change = readonly [path: string, value: unknown];
const changed = (document: BuildDocument, ...changes: readonly Change[]): BuildDocument =>
  changes.reduce((doc, [path, value]) => withValueAt(doc, path, value), document);
const ref = (id: string) => ({ id, revision: 1 });
const element = (id: string, field: string): string => `fuelCircuits.main.elements.${id}.${field}`;

/** Lantern with cool fuel: nothing boils before what is asked. */
const cool = changed(
  lantern,
  ['brief.fuelTemperatureHot', { value: 303.15, unit: '°C' }],
  [element('tank', 'heatLoss'), { value: 500, unit: 'W/K' }],
);
const byPower =
  (...changes: readonly Change[]) =>
  (power: number): BuildDocument =>
    changed(
      cool,
      ...changes,
      ['brief.power', { value: power, unit: 'kW' }],
      ['demand', { school: 'power', reason: 'power is what is turned' }],
    );
const byVoltage =
  (...changes: readonly Change[]) =>
  (volt: number): BuildDocument =>
    changed(cool, ...changes, ['limits.voltageLow', { value: volt, unit: 'V' }]);
const byFuelTemperature = (kelvin: number): BuildDocument =>
  withValueAt(cool, 'brief.fuelTemperatureHot', { value: kelvin, unit: '°C' });
const byEthanol =
  (...changes: readonly Change[]) =>
  (share: number): BuildDocument =>
    changed(cool, ...changes, ['fuels.pump-fuel.ethanol', { value: share, unit: '%' }]);

const largePump: Change = [element('pump', 'item'), ref('P520X')];
const largeInjectors: Change = ['injectorRows.primary.item', ref('I1050')];
const narrowFeed: Change = [element('feed', 'item'), ref('HBP-4')];

const surge = (changes: readonly Change[]) => changed(laidOutAs('surge-tank', cool), ...changes);
const surgeTank = 'fuelCircuits.main.elements.surge.volume';

const turns: Record<string, Turn> = {
  'a feed is fast above 3 m/s': {
    finding: 'feed.velocity:feed',
    build: byVoltage(largePump, narrowFeed),
    between: [12, 14],
    says: ['nothing', 'warn'],
    at: 3,
  },
  'and too fast above 4.5 m/s': {
    finding: 'feed.velocity:feed',
    build: byVoltage(largePump, narrowFeed, [
      element('regulator', 'setPressure'),
      { value: 60e3, unit: 'kPa' },
    ]),
    between: [12, 15],
    says: ['warn', 'stop'],
    at: 4.5,
  },
  'sag is told from 3 %': {
    finding: 'rail.sag:primary',
    build: byPower(largeInjectors),
    between: [120e3, 287e3],
    says: ['nothing', 'warn'],
    at: 0.03,
  },
  'and stops above 6 %': {
    finding: 'rail.sag:primary',
    build: byPower(largeInjectors),
    between: [287e3, 330e3],
    says: ['warn', 'stop'],
    at: 0.06,
  },
  'duty is told five points before its limit': {
    finding: 'injector.duty:primary',
    build: byPower(largePump),
    between: [150e3, 205e3],
    says: ['nothing', 'warn'],
    at: 0.75,
  },
  'and stops at its limit': {
    finding: 'injector.duty:primary',
    build: byPower(largePump),
    between: [205e3, 300e3],
    says: ['warn', 'stop'],
    at: 0.8,
  },
  'a pump with more than twice the flow is told': {
    finding: 'pump.margin:main',
    build: byPower(largeInjectors),
    between: [150e3, 60e3],
    says: ['nothing', 'note'],
    at: 1,
  },
  'a pump is told when it has less in hand than wished': {
    finding: 'pump.margin:main',
    build: byPower(largeInjectors),
    between: [150e3, 250e3],
    says: ['nothing', 'warn'],
    at: 0.2,
  },
  'and stops when it gives less than the engine takes': {
    finding: 'pump.margin:main',
    build: byPower(largeInjectors),
    between: [235e3, 400e3],
    says: ['warn', 'stop'],
    at: 0,
  },
  'the inlet is told when it is nearer to boiling than the pump allows': {
    finding: 'suction.head:pump',
    build: byFuelTemperature,
    between: [303, 320],
    says: ['nothing', 'warn'],
    at: 10e3,
  },
  'and stops when the fuel boils there': {
    finding: 'suction.head:pump',
    build: byFuelTemperature,
    between: [320, 343],
    says: ['warn', 'stop'],
    at: 0,
  },
  'a suction line is fast above 1 m/s': {
    finding: 'suction.velocity:suction',
    build: byVoltage(largePump, [element('suction', 'item'), ref('HBP-6')]),
    between: [9, 14],
    says: ['nothing', 'warn'],
    at: 1,
  },
  'a surge tank is small below five seconds of peak flow': {
    finding: 'surge.volume:surge',
    build: (litres) => surge([[surgeTank, { value: litres / 1e3, unit: 'L' }]]),
    between: [2, 0.05],
    says: ['nothing', 'warn'],
    at: 5,
  },
  'the schools disagree from 15 %': {
    finding: 'demand.disagreement',
    build: (power) => changed(cool, ['brief.power', { value: power, unit: 'kW' }]),
    between: [168e3, 260e3],
    says: ['nothing', 'warn'],
    at: 0.15,
  },
  'set pressure ends where the regulator ends': {
    finding: 'regulator.range:regulator',
    build: (pascal) =>
      changed(cool, [element('regulator', 'setPressure'), { value: pascal, unit: 'kPa' }]),
    between: [300e3, 900e3],
    says: ['nothing', 'stop'],
    at: 500e3,
  },
  'a measured set is uneven above 3 %': {
    finding: 'injector.spread:primary',
    build: (flow) =>
      changed(cool, [
        'injectorRows.primary.measuredFlows',
        Object.fromEntries(
          [1e-5, 1e-5, 1e-5, flow].map((value, i) => [i + 1, { value, unit: 'cc/min' }]),
        ),
      ]),
    between: [1e-5, 1.1e-5],
    says: ['nothing', 'warn'],
    at: 0.03,
  },
  'a hose ends where its rating for alcohol ends': {
    finding: 'hose.fuel:feed',
    build: byEthanol([element('feed', 'item'), ref('HBR-6')]),
    between: [0, 1],
    says: ['nothing', 'stop'],
    at: 0.3,
  },
};

describe('a check changes its mind where its limit is:', () => {
  test.each(Object.entries(turns))('%s', (_words, turn) => expectTurn(turn));
});
