import { describe, expect, test } from 'vitest';
import { lantern } from '../../exchange/index.ts';
import { type BuildCommand, withValueAt } from '../../model/index.ts';
import { editInWords } from './editInWords.ts';

const words = (command: BuildCommand): string => editInWords(lantern, command);

describe('an edit in words', () => {
  test.each<[BuildCommand, string]>([
    [
      { name: 'set', path: ['brief', 'boost'], value: { value: 110e3, unit: 'bar' } },
      'Boost 0.85 → 1.1 bar',
    ],
    [
      { name: 'set', path: ['brief', 'boost'], value: { value: 137895.14586336722, unit: 'psi' } },
      'Boost 0.85 bar → 20 psi',
    ],
    [{ name: 'set', path: ['brief', 'aspiration'], value: 'natural' }, 'Induction turbo → natural'],
    [{ name: 'set', path: ['brief', 'cylinders'], value: 5 }, 'Cylinders 4 → 5'],
    [
      {
        name: 'set',
        path: ['brief', 'specificConsumption'],
        value: { value: 9e-8, unit: 'g/kWh' },
      },
      'Specific consumption usual → 324 g/kWh',
    ],
    [
      {
        name: 'choose-part',
        circuitId: 'main',
        elementId: 'feed',
        item: { id: 'HBR-8', revision: 1 },
      },
      'Feed line, part HBR-6 → HBR-8',
    ],
    [
      { name: 'choose-injector', rowId: 'primary', item: { id: 'I850', revision: 2 } },
      'Primary injectors, part I650 → I850, revision 2',
    ],
    [
      { name: 'remove-element', circuitId: 'main', elementId: 'fine', assemblies: {} },
      'Fine filter taken out',
    ],
    [
      {
        name: 'move-element',
        circuitId: 'main',
        elementId: 'fine',
        direction: 'towards-tank',
        assemblies: {},
      },
      'Fine filter moved towards the tank',
    ],
    [{ name: 'choose-induction', aspiration: 'natural' }, 'Change induction to natural'],
  ])('%j', (command, text) => {
    expect(words(command)).toBe(text);
  });

  test('what has many fields or many letters is told without its values', () => {
    const long = 'x'.repeat(300);
    expect(words({ name: 'set', path: ['description'], value: long })).toBe('Change description');
    const curve = withValueAt(lantern, 'brief.boostCurve.p1.value', { value: 0, unit: '%' }).brief
      .boostCurve;
    expect(words({ name: 'set', path: ['brief', 'boostCurve'], value: curve })).toBe(
      'Change boost curve',
    );
  });
});
