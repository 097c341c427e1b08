import { describe, expect, test } from 'vitest';
import { kittiwake, lantern } from '../exchange/index.ts';
import { fieldInWords } from './fieldInWords.ts';
import { valueAt } from './path.ts';

const told = (document: unknown, path: readonly string[]): string =>
  fieldInWords(document, path, valueAt(document as object, path));

describe('a reference is told by the name of what it names', () => {
  test('a place, a fuel, a circuit', () => {
    expect(told(lantern, ['power', 'ecuPlacementId'])).toBe(lantern.placements['ecu']!.name);
    expect(told(lantern, ['fuelCircuits', 'main', 'fuelId'])).toBe(
      lantern.fuels['pump-fuel']!.name,
    );
    expect(told(kittiwake, ['injectorRows', 'secondary', 'circuitId'])).toBe('Methanol circuit');
  });

  test('an alternative of its own decision, also one that is not chosen yet', () => {
    const { chosen, alternatives } = lantern.options['tank-outlet']!;
    const path = ['options', 'tank-outlet', 'chosen'];
    expect(told(lantern, path)).toBe(alternatives[chosen]!.name);
    for (const [id, { name }] of Object.entries(alternatives)) {
      expect(fieldInWords(lantern, path, id)).toBe(name);
    }
  });

  test('an element of the circuit that stands beside it', () => {
    const names = ['pump', 'methanol-pump'].map((id) =>
      told(kittiwake, ['devices', id, 'part', 'elementId']),
    );
    expect(names).toContain('Methanol pump');
    expect(names).toContain('First pump');
  });

  test('a joint, which has no name, by the element that fuel comes to it from', () => {
    const { elements } = lantern.fuelCircuits['main']!;
    const fine = Object.entries(elements).find(
      ([, { kind, name }]) => /Fine/.test(name) && kind === 'filter',
    )!;
    const [id, filter] = fine;
    if (filter.kind !== 'filter') throw new Error('the fine filter is no filter');
    const next = Object.entries(elements).find(
      ([, element]) => 'from' in element && element.from === filter.to,
    )!;
    const at = (element: string, end: string) =>
      told(lantern, ['fuelCircuits', 'main', 'elements', element, end]);
    expect(at(next[0], 'from')).toBe('behind Fine filter');
    expect(at(id, 'to')).toBe('behind Fine filter');
    const outlet = Object.entries(elements).find(([, { kind }]) => kind === 'tank')!;
    expect(at(outlet[0], 'outlet')).toBe(`at ${outlet[1].name}`);
  });

  test('by its id where there is no such thing', () => {
    expect(fieldInWords(lantern, ['power', 'ecuPlacementId'], 'nowhere')).toBe('nowhere');
    const from = ['fuelCircuits', 'main', 'elements', 'feed', 'from'];
    expect(fieldInWords(lantern, from, 'nowhere')).toBe('nowhere');
  });
});

test('what is no reference is told as it is', () => {
  expect(told(lantern, ['brief', 'boost'])).toBe('0.85 bar');
  expect(told(lantern, ['name'])).toBe('Lantern');
});
