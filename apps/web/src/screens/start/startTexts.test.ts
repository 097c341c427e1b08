import { describe, expect, test } from 'vitest';
import { type StartTexts, emptyStart, problemsOf, readStart } from './startTexts.ts';

const metric = { system: 'metric', numbers: 'space-point' } as const;
const van: StartTexts = {
  ...emptyStart,
  name: ' Grey van ',
  displacement: '2,3 L',
  cylinders: '5',
  power: '190 hp',
  powerSpeed: '5600',
};
const read = (texts: Partial<StartTexts> = {}) => readStart({ ...van, ...texts }, metric);
const answersOf = (texts: Partial<StartTexts> = {}) => {
  const result = read(texts);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.answers;
};
const problems = (texts: Partial<StartTexts>) => {
  const result = read(texts);
  if (result.ok) throw new Error('taken');
  return result.problems;
};

describe('the answers of the guided start', () => {
  test('are read in any unit, with what is usual where nothing was typed', () => {
    const answers = answersOf();
    expect(answers.name).toBe('Grey van');
    expect(answers.displacement.value).toBeCloseTo(2.3e-3, 9);
    expect(answers.power.unit).toBe('hp');
    // A tenth above the power speed, in whole hundreds.
    expect(answers.limiterSpeed.value * 60).toBeCloseTo(6200, 6);
    expect(answers.cylinders).toBe(5);
  });

  test('a natural engine is asked no boost, methanol no ethanol', () => {
    expect(answersOf({ boost: 'much' }).boost.value).toBe(0);
    expect(answersOf({ fuelKind: 'methanol', ethanol: 'none' }).ethanol.value).toBe(0);
    expect(problems({ aspiration: 'turbo' }).boost).toContain('Enter a number with a unit');
  });

  test('every mistake is told at its field at once', () => {
    const told = problems({ name: '  ', displacement: '', cylinders: 'five', power: '1,000 kW' });
    expect(Object.keys(told).sort()).toEqual(['cylinders', 'displacement', 'name', 'power']);
    expect(told.power).toContain('two ways');
    expect(told.cylinders).toContain('in figures');
  });

  test('what is read is checked as the server checks it', () => {
    expect(problems({ displacement: '90 L' }).displacement).toContain('from 0.02 L to 30 L');
    expect(problems({ limiterSpeed: '3000' }).limiterSpeed).toContain('below the power speed');
    expect(problems({ cylinders: '4.5' }).cylinders).toContain('whole number');
  });

  test('issues of no field stand at the form', () => {
    expect(
      problemsOf([
        { path: 'ethanol.value', message: 'a' },
        { path: 'x', message: 'b' },
      ]),
    ).toEqual({ ethanol: 'a', form: 'b' });
  });
});
