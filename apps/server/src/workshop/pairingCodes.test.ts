import { describe, expect, test } from 'vitest';
import { CODE_LASTS, PairingCodes, WRONG_OF_ONE } from './pairingCodes.ts';

const at = (start = 0) => {
  const clock = { now: start };
  return { clock, codes: new PairingCodes(() => clock.now) };
};

describe('a pairing code', () => {
  test('is good once', () => {
    const { codes } = at();
    const { code } = codes.next();
    expect(code).toMatch(/^[A-HJKMNP-Z2-9]{10}$/);
    expect(codes.use(code, 'a')).toBe('paired');
    expect(codes.use(code, 'a')).toBe('wrong');
  });

  test('is good for ten minutes', () => {
    const { clock, codes } = at();
    const { code, until } = codes.next();
    expect(until).toBe(CODE_LASTS);
    clock.now = CODE_LASTS - 1;
    expect(new PairingCodes(() => clock.now).use(code, 'a')).toBe('wrong');
    expect(codes.use(code, 'a')).toBe('paired');
    const later = codes.next();
    clock.now += CODE_LASTS;
    expect(codes.use(later.code, 'a')).toBe('wrong');
  });

  test('makes the one before it void, and closing the door every one', () => {
    const { codes } = at();
    const first = codes.next();
    const second = codes.next();
    expect(first.code).not.toBe(second.code);
    expect(codes.use(first.code, 'a')).toBe('wrong');
    codes.forget();
    expect(codes.use(second.code, 'a')).toBe('wrong');
  });

  test('takes few wrong ones of an address, until there is a new one', () => {
    const { codes } = at();
    const { code } = codes.next();
    for (let i = 0; i < WRONG_OF_ONE; i += 1) expect(codes.use(`GUESS${i}`, 'a')).toBe('wrong');
    expect(codes.use(code, 'a')).toBe('too many');
    expect(codes.use(codes.next().code, 'a')).toBe('paired');
  });

  test('takes one wrong one fewer than that, and then the right one', () => {
    const { codes } = at();
    const { code } = codes.next();
    for (let i = 1; i < WRONG_OF_ONE; i += 1) codes.use('WRONG', 'a');
    expect(codes.use(code, 'a')).toBe('paired');
  });

  test('is good for its owner whatever strangers at any number of addresses send', () => {
    const { codes } = at();
    const { code } = codes.next();
    for (let stranger = 0; stranger < 12_000; stranger += 1) {
      for (let i = 0; i < WRONG_OF_ONE + 1; i += 1) codes.use('WRONG', `stranger ${stranger}`);
    }
    expect(codes.use(code, 'owner')).toBe('paired');
  });

  test('pairs nobody whose address is not known', () => {
    const { codes } = at();
    const { code } = codes.next();
    expect(codes.use(code, undefined)).toBe('wrong');
    expect(codes.use(code, 'a')).toBe('paired');
  });
});
