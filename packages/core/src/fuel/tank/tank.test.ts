import { describe, expect, test } from 'vitest';
import { applyCommand, referenceProblems } from '../../evaluation/index.ts';
import { kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { attitudes, pushOf } from './attitudes.ts';
import { evaluated } from '../../tests/evaluated.ts';

const figure = (build: BuildDocument, key: string): number | undefined =>
  evaluated(build).results.find((r) => r.key === key)?.value;
const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const starves = (build: BuildDocument) =>
  Object.fromEntries(attitudes.map((a) => [a, figure(build, `tank.starve.${a}`)!]));

describe('a pickup', () => {
  test('at the front stays covered when braking, and falls dry first when fuel runs back', () => {
    const { braking, accelerating, climbing } = starves(lantern);
    expect(braking).toBeLessThan(climbing!);
    expect(climbing).toBeLessThan(accelerating!);
  });

  test('in the middle of the bottom falls dry alike on both sides', () => {
    const { high, low } = lantern.solids['tank']!;
    const middle = (low.y.value + high.y.value) / 2;
    const centred = withValueAt(lantern, 'placements.tank-outlet.y', {
      value: middle,
      unit: 'mm',
    });
    const { leftTurn, rightTurn } = starves(centred);
    expect(leftTurn).toBeCloseTo(rightTurn!, 12);
  });

  test('that lies lower falls dry later, whatever the vehicle does', () => {
    const higher = starves(withValueAt(lantern, 'tanks.tank.pickupHeight', mm(60)));
    for (const attitude of attitudes) {
      expect(higher[attitude]).toBeGreaterThan(starves(lantern)[attitude]!);
    }
  });

  test('is pushed at harder in competition than on the road', () => {
    for (const attitude of ['braking', 'accelerating', 'leftTurn'] as const) {
      const size = (use: 'road' | 'competition'): number => {
        const { forward, left } = pushOf(attitude, use);
        return Math.hypot(forward, left);
      };
      expect(size('competition')).toBeGreaterThan(size('road'));
    }
  });
});

describe('a tank on the map', () => {
  test('has a swirl pot that lasts its volume over the engine’s flow', () => {
    const twice = withValueAt(lantern, 'tanks.tank.swirl', { value: 0.002, unit: 'L' });
    expect(figure(twice, 'tank.swirlLasts')).toBeCloseTo(
      2 * figure(lantern, 'tank.swirlLasts')!,
      9,
    );
    const none = withValueAt(lantern, 'tanks.tank.swirl', null);
    expect(figure(none, 'tank.swirlLasts')).toBeUndefined();
  });

  test('goes with its box, and with its circuit', () => {
    const boxless = applyCommand(lantern, { name: 'take-off-map', slice: 'solids', id: 'tank' });
    expect(boxless.document.tanks).toEqual({});
    expect(referenceProblems(boxless.document, sampleCatalogue)).toEqual([]);
    const one = applyCommand(kittiwake, { name: 'remove-circuit', circuitId: 'methanol' });
    expect(Object.keys(one.document.tanks)).toEqual(['tank']);
    expect(referenceProblems(one.document, sampleCatalogue)).toEqual([]);
  });

  test('of a second circuit has figures of its own', () => {
    expect(figure(kittiwake, 'tank.methanol.starve.braking')).toBeGreaterThan(0);
  });
});
