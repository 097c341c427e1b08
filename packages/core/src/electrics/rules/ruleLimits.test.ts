import { describe, expect, test } from 'vitest';
import { lantern } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { evaluated } from '../../tests/evaluated.ts';
import { settledLantern } from '../../tests/trippedElectrics.ts';
import { withPart } from '../../tests/trippedBuilds.ts';
import { type Turn, expectTurn } from '../../tests/turningPoint.ts';

type Change = readonly [path: readonly string[], value: unknown];
const changed = (build: BuildDocument, ...changes: readonly Change[]): BuildDocument =>
  changes.reduce((document, [path, value]) => withValueAt(document, path, value), build);
const settled = (...changes: readonly Change[]): BuildDocument =>
  changed(settledLantern, ...changes);

const celsius = (value: number) => ({ value: value + 273.15, unit: '°C' });
const metres = (value: number) => ({ typed: { value, unit: 'm' }, measured: null });
const wire = (id: string, length: number, size: string | null = null): Change => [
  ['power', 'wireDecisions'],
  {
    ...lantern.power.wireDecisions,
    [id]: { size: size === null ? null : { id: size, revision: 1 }, length: metres(length) },
  },
];
const fanTwo = (key: string, value: unknown): Change => [
  ['switching', 'fan-2-relay', 'ways', 'way-1', 'conditions', 'condition-2', key],
  value,
];
const fuseOfFan = (id: string): Change => [
  ['devices', 'fuse-fan-1', 'part', 'item'],
  { id, revision: 1 },
];
const onBattery = (device: string, pin: string): Change => [
  ['devices', device, 'connections', pin],
  { to: 'part', partId: 'battery', pin: '+' },
];
/** What a fan takes when it runs, A: as its part is sold. */
const FAN = 16;

describe('a fan that starts at 120 °C and stops at 70 °C', () => {
  const rulesOf = (sensor: string): string[] => {
    const { findings } = evaluated(
      settled(fanTwo('on', celsius(120)), fanTwo('off', celsius(70)), fanTwo('deviceId', sensor)),
    );
    return findings.filter(({ id }) => id.endsWith(':fan-2-relay')).map(({ rule }) => rule);
  };
  const ofCoolant = ['switching.fan-never-off', 'switching.fan-after-protection'];

  test('is too late and never stops where it follows the coolant', () => {
    expect(rulesOf('coolant')).toEqual(expect.arrayContaining(ofCoolant));
  });

  test('is judged by neither where it follows the oil of the gearbox', () => {
    const found = rulesOf('gearbox-oil-temperature');
    for (const rule of ofCoolant) expect(found).not.toContain(rule);
  });
});

const turns: Record<string, Turn> = {
  'on and off of a relay lie at least 4 K apart': {
    finding: 'switching.hysteresis:fan-2-relay',
    build: (off) => settled(fanTwo('on', celsius(101)), fanTwo('off', celsius(off))),
    between: [95, 100],
    says: ['nothing', 'warn'],
    at: 4,
    value: 97,
  },
  'a fan goes off above the thermostat': {
    finding: 'switching.fan-never-off:fan-2-relay',
    build: (off) => settled(fanTwo('on', celsius(101)), fanTwo('off', celsius(off))),
    between: [90, 75],
    says: ['nothing', 'warn'],
    at: 82 + 273.15,
    value: 82,
  },
  'and follows the thermostat that is fitted': {
    finding: 'switching.fan-never-off:fan-2-relay',
    build: (opens) =>
      settled(fanTwo('on', celsius(101)), fanTwo('off', celsius(95)), [
        ['limits', 'thermostatOpens'],
        celsius(opens),
      ]),
    between: [82, 99],
    says: ['nothing', 'warn'],
    at: 95 + 273.15,
    value: 95,
  },
  'a fan starts below the temperature at which engine protection begins': {
    finding: 'switching.fan-after-protection:fan-2-relay',
    build: (begins) =>
      settled(fanTwo('on', celsius(101)), fanTwo('off', celsius(95)), [
        ['brief', 'protectionTemperature'],
        celsius(begins),
      ]),
    between: [104, 99],
    says: ['nothing', 'warn'],
    at: 101 + 273.15,
    value: 101,
  },
  'a fuse carries 1.25 times its load when it is hot': {
    finding: 'device.fuse:fuse-fan-1',
    build: () => settled(fuseOfFan('FB30')),
    catalogue: (rating) => withPart('FB30', { rating }),
    between: [30, 10],
    says: ['nothing', 'warn'],
    at: 1.25 * FAN,
  },
  'a position of a box carries what its maker says': {
    finding: 'fuse.position:fuse-fan-1',
    build: (most) =>
      settled(fuseOfFan('FB30'), [
        ['devices', 'fuse-fan-1', 'positionLimit'],
        { value: most, unit: 'A' },
      ]),
    between: [40, 20],
    says: ['nothing', 'stop'],
    at: 'limit',
    value: 30,
  },
  'the contact of a motor’s relay is rated 1.25 times what it takes': {
    finding: 'device.relay:fan-1-relay',
    build: () => settled([['devices', 'fan-1-relay', 'part', 'item'], { id: 'RL30', revision: 1 }]),
    catalogue: (motorRating) => withPart('RL30', { motorRating }),
    between: [22, 15],
    says: ['nothing', 'stop'],
    at: 1.25 * FAN,
    value: 1.25 * FAN,
  },
  'sensors take no more of 5 V than a unit gives': {
    finding: 'reference.overload:ecu',
    build: () => settled(),
    catalogue: (referenceTotal) => withPart('LEAT34', { referenceTotal }),
    between: [0.1, 0.02],
    says: ['nothing', 'stop'],
    at: 'limit',
  },
  'a battery that is left alone cranks after two weeks': {
    finding: 'battery.drain',
    build: () => settled(),
    catalogue: (standbyCurrent) => withPart('LEAT34', { standbyCurrent }),
    between: [0.01, 0.2],
    says: ['nothing', 'warn'],
    at: 14,
  },
  'an alternator gives what is on when it is hot': {
    finding: 'alternator.budget:cruiseHot',
    build: (share) => settled([['limits', 'alternatorHot'], { value: share, unit: '%' }]),
    between: [0.9, 0.1],
    says: ['nothing', 'warn'],
    at: 'limit',
  },
  'no wire is on the battery without a fuse, a starter’s for a metre': {
    finding: 'supply.unprotected:starter~30',
    build: (length) => settled(onBattery('starter', '30'), wire('starter~30', length)),
    between: [0.5, 2],
    says: ['nothing', 'stop'],
    at: 1,
    value: 1,
  },
  'the main fuse stands within 180 mm of cable': {
    finding: 'main-fuse.distance:battery-+~main-fuse',
    build: (length) => settled(wire('battery-+~main-fuse', length)),
    between: [0.1, 0.4],
    says: ['nothing', 'stop'],
    at: 0.18,
    value: 0.18,
  },
  'the main fuse is rated 1.25 times its load': {
    finding: 'main-fuse.load',
    build: () => settled(),
    catalogue: (rating) => withPart('FM150', { rating }),
    between: [150, 60],
    says: ['nothing', 'warn'],
    at: 'limit',
  },
  'a feed loses no more than was allowed': {
    finding: 'wire.voltage-drop:pump-relay~30',
    build: (drop) =>
      settled(wire('pump~+', 2, 'W2_5'), [['limits', 'pumpFeedDrop'], { value: drop, unit: 'V' }]),
    between: [0.8, 0.05],
    says: ['nothing', 'warn'],
    at: 'limit',
  },
};

describe('of the wiring a check changes its mind where its limit is:', () => {
  test.each(Object.entries(turns))('%s', (_words, turn) => expectTurn(turn));
});
