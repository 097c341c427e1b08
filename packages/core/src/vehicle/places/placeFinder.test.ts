import { describe, expect, test } from 'vitest';
import { NotFound } from '../../quantities/index.ts';
import { placeFinder } from './placeFinder.ts';

describe('a place', () => {
  const places = [
    { id: 'tank', zone: 'outside' },
    { id: 'ecu', zone: 'cabin' },
  ];
  const placeOf = placeFinder(places);

  test('is found by its id, as it is', () => {
    expect(placeOf('ecu')).toBe(places[1]);
    expect(placeOf('tank').zone).toBe('outside');
  });

  test.each(['', 'Ecu', 'constructor'])('that is not there, “%s”, is refused by its name', (id) => {
    expect(() => placeOf(id)).toThrow(NotFound);
    expect(() => placeOf(id)).toThrow(`there is no place "${id}" on the vehicle`);
  });
});
