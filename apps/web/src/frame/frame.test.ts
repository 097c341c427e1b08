import { type BareFinding, type Ladder, rungChecks } from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import { scaleTop, shortName } from './powerScale.ts';
import { phaseList, phaseOf, screenList, stageList, stateInWords, stateOfPhase } from './stages.ts';

const finding = (severity: BareFinding['severity']): BareFinding => ({
  id: 'rail.sag:main',
  severity,
  where: { stage: 'circuit', circuit: 'main', element: 'feed' },
  rule: 'rail.sag',
  numbers: {},
  title: '',
  because: '',
});

describe('state of a stage in words', () => {
  test.each([
    [[], 'ready'],
    [[finding('note')], 'ready'],
    [[finding('warn')], '1 warning'],
    [[finding('warn'), finding('warn')], '2 warnings'],
    [[finding('warn'), finding('stop')], '1 stop'],
    [[finding('stop'), finding('stop')], '2 stops'],
  ] as const)('%#', (findings, words) => {
    expect(stateInWords(findings)).toBe(words);
  });
});

describe('phases', () => {
  const fuel = phaseOf('pump')!;

  test('a phase has the worst state of its own stages', () => {
    expect(stateOfPhase(fuel, [], 0)).toEqual({ words: 'ready', bad: false });
    expect(stateOfPhase(fuel, [finding('warn'), finding('stop')], 3)).toEqual({
      words: '1 stop',
      bad: true,
    });
    expect(stateOfPhase(phaseOf('wiring')!, [finding('stop')], 0)!.words).toBe('ready');
    expect(stateOfPhase(phaseOf('history')!, [finding('stop')], 0)).toBeUndefined();
    // What was found at the vehicle is against the phase in which it is found.
    const vehicle = phaseOf('readings')!;
    expect(stateOfPhase(vehicle, [finding('stop')], 0)).toBeUndefined();
    expect(stateOfPhase(vehicle, [], 2)).toEqual({ words: '2 stops', bad: true });
  });

  test('every screen stands in one phase, but findings, which are about all', () => {
    for (const { id } of screenList) {
      const holding = phaseList.filter((p) => [...p.stages, ...p.pages].some((s) => s.id === id));
      expect(holding, id).toHaveLength(id === 'findings' ? 0 : 1);
    }
  });

  test('no two screens share a key, and digits follow the stages', () => {
    const keys = screenList.map((s) => s.keys).filter((k) => k !== '');
    expect(new Set(keys).size).toBe(keys.length);
    const digits = stageList.map((s) => s.keys).filter((key) => /^\d$/.test(key));
    expect(digits).toEqual(digits.map((_, i) => String((i + 1) % 10)));
    expect(stageList.every((s) => s.keys !== '')).toBe(true);
  });
});

describe('stages', () => {
  test('every stage has a name of its own', () => {
    expect(new Set(stageList.map((s) => s.id)).size).toBe(stageList.length);
    expect(new Set(stageList.map((s) => s.name)).size).toBe(stageList.length);
  });
});

describe('power scale of the ladder', () => {
  const ladder = (powers: (number | null)[]): Ladder => ({
    targetPower: 100e3,
    triedTo: 400e3,
    rungs: powers.map((power, i) => ({
      check: rungChecks[i % rungChecks.length]!,
      label: '',
      power,
      always: power === 0,
      limit: { value: 0, kind: 'ratio' },
    })),
  });

  test('holds target and every rung within twice the target', () => {
    expect(scaleTop(ladder([150e3, 350e3, null]))).toBeCloseTo(168e3, 6);
    expect(scaleTop(ladder([null]))).toBeCloseTo(112e3, 6);
    expect(scaleTop(ladder([0]))).toBeCloseTo(112e3, 6);
  });

  test('every rung the core knows has a short name', () => {
    for (const check of rungChecks) {
      expect(shortName[check].length).toBeGreaterThan(1);
      expect(shortName[check].length).toBeLessThanOrEqual(4);
    }
  });
});
