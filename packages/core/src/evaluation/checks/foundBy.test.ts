import { describe, expect, test } from 'vitest';
import type { BuildFinding, BuildRule } from '../../model/index.ts';
import { createMemory, firstOf, withMemory } from '../../numerics/index.ts';
import { type Result, type ResultIndex, resultIndex } from '../../results/index.ts';
import { foundBy, rulesRan } from './foundBy.ts';

interface Context {
  readonly wired: { readonly devices: readonly string[]; readonly buses: readonly string[] };
  readonly routes: readonly string[];
  readonly results: ResultIndex;
}

const figure = (key: string, value: number): Result => ({
  figure: key,
  of: {},
  key,
  label: key,
  value,
  kind: 'length',
  working: { formula: 'f', notation: 'n', source: 's', inputs: [] },
});

const context = (parts: Partial<Context> = {}): Context => ({
  wired: { devices: ['pump'], buses: [] },
  routes: [],
  results: resultIndex([figure('a', 1), figure('b', 2)]),
  ...parts,
});

const finding = (id: string): BuildFinding => ({
  id,
  rule: id,
  severity: 'warn',
  where: { stage: 'devices', device: 'pump' },
  title: id,
  because: id,
  numbers: {},
  cures: () => [{ text: 'none' }],
});

const a = { key: 'a', figure: 'a', of: {} };
const rules: readonly BuildRule<Context>[] = [
  {
    id: 'devices',
    source: '',
    check: ({ wired }) => wired.devices.map((device) => finding(`devices.${device}`)),
  },
  {
    id: 'figure',
    source: '',
    check: ({ results }) => ((results.find(a)?.value ?? 0) > 1 ? [finding('figure')] : []),
  },
  {
    id: 'routes',
    source: '',
    check: ({ routes, wired }) =>
      routes.length > 0 ? wired.buses.map((bus) => finding(`routes.${bus}`)) : [],
  },
];

/** What rules find one context after the other in one memory, and which of them ran each time. */
function after(...contexts: readonly Context[]) {
  return withMemory(createMemory(), () =>
    contexts.map((each) => {
      rulesRan().length = 0;
      const found = foundBy(rules, each).map(({ id }) => id);
      return { found, ran: [...rulesRan()] };
    }),
  );
}

describe('rules', () => {
  test('all run at first, and give findings without their cures', () => {
    expect(after(context())).toEqual([
      { found: ['devices.pump'], ran: ['devices', 'figure', 'routes'] },
    ]);
    const [found] = withMemory(createMemory(), () => foundBy(rules, context()));
    expect(found).not.toHaveProperty('cures');
  });

  test('do not run again when what they looked at says the same', () => {
    expect(after(context(), context({ wired: { devices: ['pump'], buses: ['can'] } }))[1]).toEqual({
      found: ['devices.pump'],
      ran: [],
    });
  });

  test('run again when it does not, each for itself', () => {
    expect(after(context(), context({ wired: { devices: ['fan'], buses: [] } }))[1]).toEqual({
      found: ['devices.fan'],
      ran: ['devices'],
    });
  });

  test('look at figures one by one', () => {
    const [, other, same] = after(
      context(),
      context({ results: resultIndex([figure('a', 1), figure('b', 3)]) }),
      context({ results: resultIndex([figure('a', 5)]) }),
    );
    expect(other).toEqual({ found: ['devices.pump'], ran: [] });
    expect(same).toEqual({ found: ['devices.pump', 'figure'], ran: ['figure'] });
  });

  test('look at more once something leads them to it', () => {
    const buses = { devices: ['pump'], buses: ['can'] };
    const [, , third, fourth] = after(
      context(),
      context({ routes: ['a'] }),
      context({ routes: ['a'], wired: buses }),
      context({ routes: ['a'], wired: { ...buses, buses: ['lin'] } }),
    );
    expect(third).toEqual({ found: ['devices.pump', 'routes.can'], ran: ['routes'] });
    expect(fourth?.found).toContain('routes.lin');
  });

  test('answer from their own memory, not from one that ran before', () => {
    const inOther = withMemory(createMemory(), () => {
      foundBy(rules, context());
      return [...rulesRan()];
    });
    expect(inOther).toHaveLength(rules.length);
    expect(firstOf(after(context())).ran).toHaveLength(rules.length);
  });
});
