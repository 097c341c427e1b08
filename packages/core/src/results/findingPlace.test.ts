import { describe, expect, test } from 'vitest';
import { type FindingPlace, circuitOf, elementOf, placeText } from './findingPlace.ts';

const places: readonly [FindingPlace, string][] = [
  [{ stage: 'demand' }, 'demand'],
  [{ stage: 'demand', fuel: 'e85' }, 'demand:e85'],
  [{ stage: 'injectors' }, 'injectors'],
  [{ stage: 'injectors', row: 'second' }, 'injectors:second'],
  [{ stage: 'circuit', circuit: 'main', element: 'feed' }, 'circuit:main/feed'],
  [{ stage: 'pump', circuit: 'main', element: 'pump' }, 'circuit:main/pump'],
  [{ stage: 'wiring', wire: 'a.b' }, 'wiring:a.b'],
  [{ stage: 'wiring', pump: 'pump' }, 'wiring:pump'],
  [{ stage: 'wiring', feed: 'pump-feed', part: 'relay' }, 'wiring:pump-feed/relay'],
  [{ stage: 'wiring', part: 'main-fuse' }, 'wiring:main-fuse'],
  [{ stage: 'looms', loom: 'engine' }, 'looms:engine'],
  [{ stage: 'kept-connectors', plug: 'dash' }, 'kept-connectors:dash'],
];

describe('the place of a finding', () => {
  test.each(places)('%j is written %s', (place, text) => {
    expect(placeText(place)).toBe(text);
  });

  test('names a circuit and an element where it is one', () => {
    const named = places.filter(([place]) => circuitOf(place) !== undefined);
    expect(named.map(([place]) => `${circuitOf(place)}/${elementOf(place)}`)).toEqual([
      'main/feed',
      'main/pump',
    ]);
    expect(elementOf({ stage: 'wiring', pump: 'pump' })).toBeUndefined();
  });
});
