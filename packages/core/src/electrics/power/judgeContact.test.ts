import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { judgeContact, motorRatingOf } from './judgeContact.ts';

const rated = (contactRating: number, motorRating: number) => ({ contactRating, motorRating });

describe('the contact of a relay', () => {
  test('for a motor its rating for motors counts, for the rest that of the contact', () => {
    const relay = rated(30, 20);
    expect(judgeContact(relay, { total: 24, motors: 0 })).toBeUndefined();
    expect(judgeContact(relay, { total: 16, motors: 16 })).toBeUndefined();
    expect(judgeContact(relay, { total: 17, motors: 17 })).toEqual({
      of: 'motors',
      rating: 20,
      needed: 21.25,
    });
    expect(judgeContact(relay, { total: 25, motors: 10 })).toMatchObject({ of: 'contact' });
  });

  test('of two that are too small the one that is exceeded more is told', () => {
    expect(judgeContact(rated(30, 20), { total: 40, motors: 20 })?.of).toBe('contact');
    expect(judgeContact(rated(30, 20), { total: 40, motors: 40 })?.of).toBe('motors');
  });

  test('where its maker gives none for motors, or a larger one, that of the contact counts', () => {
    expect(motorRatingOf(rated(30, 0))).toBe(30);
    expect(motorRatingOf(rated(30, 45))).toBe(30);
  });

  test('a larger contact is never worse', () => {
    const ampere = fc.double({ min: 0.1, max: 200, noNaN: true });
    fc.assert(
      fc.property(ampere, ampere, ampere, ampere, ampere, (contact, motor, total, part, more) => {
        const load = { total, motors: Math.min(part, total) };
        const fits = judgeContact(rated(contact, motor), load) === undefined;
        const larger = judgeContact(rated(contact + more, motor + more), load) === undefined;
        expect(!fits || larger).toBe(true);
      }),
    );
  });
});
