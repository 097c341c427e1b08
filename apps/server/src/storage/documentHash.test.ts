import { hashOf, kittiwake, lantern, withValueAt } from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import { documentHash } from './documentHash.ts';

describe('the hash of a document', () => {
  test.each([
    ['a build', lantern],
    ['a large build', kittiwake],
    ['an empty thing', {}],
    ['text beyond ASCII', { name: 'Δp über 3 bar — 東' }],
  ])('of %s is the one that files carry', (_words, value) => {
    expect(documentHash(value)).toBe(hashOf(value));
  });

  test('does not depend on the order of keys, and changes with any value', () => {
    const power = lantern.brief.power;
    const turned = {
      ...lantern,
      brief: Object.fromEntries(Object.entries(lantern.brief).reverse()),
    };
    expect(documentHash(turned)).toBe(documentHash(lantern));
    const edited = withValueAt(lantern, 'brief.power', { ...power, value: power.value + 1e-6 });
    expect(documentHash(edited)).not.toBe(documentHash(lantern));
    expect(documentHash(withValueAt(edited, 'brief.power', power))).toBe(documentHash(lantern));
  });
});
