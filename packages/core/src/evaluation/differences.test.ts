import { describe, expect, test } from 'vitest';
import { withValueAt } from '../model/index.ts';
import { lantern, sampleCatalogue } from '../exchange/index.ts';
import { evaluate } from './evaluate.ts';
import { differences, ripple } from './ripple.ts';

const e10 = evaluate(lantern, sampleCatalogue);
const e85 = evaluate(
  withValueAt(lantern, 'fuels.pump-fuel.ethanol', { value: 0.85, unit: '%' }),
  sampleCatalogue,
);
const all = { figures: () => true };

describe('differences of two evaluations', () => {
  test('there are none between equals', () => {
    expect(differences(e10, e10, all)).toEqual([]);
  });

  test('what gets worse comes first, figures by how much they differ', () => {
    const entries = differences(e10, e85, all);
    expect(entries[0]).toMatchObject({ type: 'finding', after: 'stop' });
    const changes = entries.flatMap((e) => (e.type === 'figure' ? [e.change] : []));
    expect(changes.length).toBeGreaterThan(20);
    expect([...changes].sort((a, b) => b - a)).toEqual(changes);
    for (const change of changes) expect(change).toBeGreaterThanOrEqual(0.005);
  });

  test('seen from the other side every figure differs as much, the other way round', () => {
    const forth = differences(e10, e85, all).filter((e) => e.type === 'figure');
    const back = new Map(
      differences(e85, e10, all).flatMap((e) => (e.type === 'figure' ? [[e.key, e]] : [])),
    );
    for (const entry of forth) {
      expect(back.get(entry.key)).toMatchObject({ before: entry.after, after: entry.before });
      expect(back.get(entry.key)!.change).toBeCloseTo(entry.change, 12);
    }
  });

  test('the ripple is the part of them that is worth telling', () => {
    const told = new Set(ripple(e10, e85).map((e) => (e.type === 'figure' ? e.key : e.id)));
    const every = differences(e10, e85, all).map((e) => (e.type === 'figure' ? e.key : e.id));
    expect(told.size).toBeLessThan(every.length);
    for (const id of told) expect(every).toContain(id);
  });
});
