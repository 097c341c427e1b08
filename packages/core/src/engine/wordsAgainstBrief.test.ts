import { describe, expect, test } from 'vitest';
import { kittiwake, lantern, sandpiper } from '../exchange/index.ts';
import { disagreementInWords, wordsAgainstBrief } from './wordsAgainstBrief.ts';

const facts = { aspiration: 'turbo', displacement: 2.4e-3, cylinders: 4 } as const;
const inEngine = (engine: string, of: Partial<Parameters<typeof wordsAgainstBrief>[1]> = {}) =>
  wordsAgainstBrief({ vehicle: '', engine, description: '' }, { ...facts, ...of });

describe('the build’s own words', () => {
  test.each([lantern, sandpiper, kittiwake])('of $name agree with its brief', (build) => {
    const { brief, description } = build;
    expect(
      wordsAgainstBrief(
        { vehicle: brief.vehicle, engine: brief.engine, description },
        { ...brief, displacement: brief.displacement.value },
      ),
    ).toEqual([]);
  });

  test.each([
    ['2.4 L, naturally aspirated', 'naturally aspirated', 'turbocharged'],
    ['Inline six', 'Inline six', '4 cylinders'],
    ['6-cylinder', '6-cylinder', '4 cylinders'],
    ['V8', 'V8', '4 cylinders'],
    ['3.0-litre four', '3.0-litre', '2.4 L'],
    ['2998 cc', '2998 cc', '2.4 L'],
    ['Supercharged four-cylinder', 'Supercharged', 'turbocharged'],
  ])('“%s” are told', (engine, says, brief) => {
    const found = inEngine(engine);
    expect(found).toEqual([{ field: 'engine', says, brief }]);
    expect(disagreementInWords(found[0]!)).toContain(brief);
  });

  test.each([
    '2.4-litre turbocharged four, automatic gearbox',
    '2.4L twin-turbo, 4 cylinders',
    'Replacing a naturally aspirated six-cylinder',
    'turbocharged, was naturally aspirated',
    '2,4 litre straight four',
    'Code V2B, four-stroke',
    '',
  ])('“%s” are left alone', (engine) => {
    expect(inEngine(engine)).toEqual([]);
  });

  test('of a natural engine may not speak of a turbo, wherever they stand', () => {
    const words = { vehicle: 'Van', engine: 'four', description: 'Turbo van for the hills' };
    expect(wordsAgainstBrief(words, { ...facts, aspiration: 'natural' })).toEqual([
      { field: 'description', says: 'Turbo', brief: 'naturally aspirated' },
    ]);
  });

  test('leave the volume of a tank alone, which stands in the description', () => {
    const words = { vehicle: '', engine: '', description: 'Tank of 85 L kept' };
    expect(wordsAgainstBrief(words, facts)).toEqual([]);
  });
});
