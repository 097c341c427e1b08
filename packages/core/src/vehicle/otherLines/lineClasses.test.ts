import { describe, expect, test } from 'vitest';
import { newestOf } from '../../catalogue/index.ts';
import { sampleCatalogue } from '../../exchange/index.ts';
import { otherLineUses } from '../slices/otherLines.ts';
import { lineClasses, refusedHose } from './lineClasses.ts';

const hoses = newestOf(sampleCatalogue, 'hose');
const hose = (id: string) => hoses.find((each) => each.id === id)!;

describe('the class of a line', () => {
  test.each([
    ['power-steering-pressure', 'HBR-6', 'never'],
    ['oil-suction', 'HBR-10', 'collapses'],
    ['turbo-oil-feed', 'HBR-4', 'heat'],
    ['turbo-oil-drain', 'HBP-8', 'narrow'],
    ['oil-cooler', 'HVT-10', 'hot oil'],
    ['vent', 'HHY-6', 'hydraulic'],
    ['brake-vacuum', 'HVT-8', 'flat'],
    ['vapour-return', 'HVT-6', undefined],
    ['air-conditioning', 'HHY-8', 'refrigerant'],
    ['throttle-cable', 'HPR-4', 'conduit'],
  ] as const)('%s in %s: %s', (use, id, reason) => {
    if (reason === undefined) expect(refusedHose(use, hose(id))).toBeUndefined();
    else expect(refusedHose(use, hose(id))).toContain(reason);
  });

  test('no hose is taken that is rated below what the line sees', () => {
    for (const use of otherLineUses) {
      for (const each of hoses) {
        if (refusedHose(use, each) === undefined) {
          expect(each.pressureRating, `${use} ${each.id}`).toBeGreaterThanOrEqual(
            lineClasses[use].pressure,
          );
        }
      }
    }
  });

  test('of every line that takes a hose the catalogue has one', () => {
    const hoseless = ['air-conditioning', 'throttle-cable', 'battery-cable'];
    for (const use of otherLineUses) {
      const some = hoses.some((each) => refusedHose(use, each) === undefined);
      expect(some, use).toBe(!hoseless.includes(use));
    }
  });
});
