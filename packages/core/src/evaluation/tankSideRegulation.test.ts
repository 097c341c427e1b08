import { describe, expect, test } from 'vitest';
import { type BuildDocument, pathText, readBuild, withValueAt } from '../model/index.ts';
import { sampleCatalogue, sandpiper } from '../exchange/index.ts';
import { createEvaluator } from './evaluate.ts';
import { fuelRun, runOf } from '../fuel/index.ts';
import { assumedDifference } from '../fuel/index.ts';
import { evaluated } from '../tests/evaluated.ts';

const fluidOf = (build: BuildDocument) => evaluated(build).fluids[0]!;
const solved = (build: BuildDocument, name: 'hotIdle' | 'peakPower' | 'overrun') => {
  const { point, solution } = fluidOf(build).cases[name];
  if (solution.state === 'failed') throw new Error(solution.reason);
  return { point, solution };
};
const [circuit] = readBuild(sandpiper).fuelCircuits;

describe('a filter-regulator at the tank', () => {
  test('what the pump gives is what the engine takes and what goes back', () => {
    for (const name of ['hotIdle', 'peakPower', 'overrun'] as const) {
      const { solution } = solved(sandpiper, name);
      const { pump, feed, injectors } = solution.elements;
      const back = solution.elements['regulator~bypass']!;
      expect(pump!.massFlow).toBeCloseTo(feed!.massFlow + back.massFlow, 9);
      expect(feed!.massFlow).toBeCloseTo(injectors!.massFlow, 9);
      expect(back.massFlow).toBeGreaterThan(0);
    }
  });

  test('holds its set pressure plus slope at its own outlet, whatever the manifold does', () => {
    const item = sampleCatalogue.items.find((i) => i.id === 'FR-300')!;
    if (item.category !== 'filter-regulator') throw new Error('no such item');
    const density = fluidOf(sandpiper).design.fuel.hot.density;
    for (const name of ['hotIdle', 'peakPower'] as const) {
      const { solution } = solved(sandpiper, name);
      const back = solution.elements['regulator~bypass']!;
      const held = item.setPressure + (item.slope * back.massFlow) / density;
      expect(Math.abs(solution.pressures['regulated']! - held)).toBeLessThan(1);
    }
  });

  test('Δp rises by the vacuum at idle and falls to the set pressure at full load', () => {
    const idle = solved(sandpiper, 'hotIdle');
    const peak = solved(sandpiper, 'peakPower');
    const difference = (at: typeof idle) => at.solution.elements['injectors']!.pressureDrop;
    const vacuum = peak.point.manifoldGauge - idle.point.manifoldGauge;
    expect(vacuum).toBeGreaterThan(40e3);
    // Slope of the regulator and loss of the line are all that is between the two.
    expect(difference(idle) - difference(peak)).toBeGreaterThan(vacuum - 5e3);
    expect(difference(idle) - difference(peak)).toBeLessThan(vacuum + 8e3);
    const { design } = createEvaluator().check(sandpiper, sampleCatalogue);
    expect(assumedDifference(design, design.circuits[0]!, idle.point)).toBeCloseTo(
      300e3 - idle.point.manifoldGauge,
      6,
    );
  });

  test('boost takes from Δp what it adds to the manifold', () => {
    const boosted = [
      ['brief.aspiration', 'turbo'],
      ['brief.boost', { value: 60e3, unit: 'kPa' }],
      [
        'brief.boostCurve',
        {
          a: { speed: { value: 20, unit: 'rpm' }, value: { value: 1, unit: '%' } },
          b: { speed: { value: 160, unit: 'rpm' }, value: { value: 1, unit: '%' } },
        },
      ],
    ] as const;
    const build = boosted.reduce((doc, [path, value]) => withValueAt(doc, path, value), sandpiper);
    const plain = solved(sandpiper, 'peakPower').solution.elements['injectors']!.pressureDrop;
    const under = solved(build, 'peakPower').solution.elements['injectors']!.pressureDrop;
    expect(plain - under).toBeGreaterThan(59e3);
    expect(plain - under).toBeLessThan(64e3);
  });

  test('a loaded filter costs the pump, not the engine', () => {
    const loaded = withValueAt(sandpiper, 'fuelCircuits.main.elements.regulator.state', 'loaded');
    const clean = solved(sandpiper, 'peakPower').solution;
    const dirty = solved(loaded, 'peakPower').solution;
    expect(dirty.elements['regulator']!.pressureDrop).toBeGreaterThan(
      2.5 * clean.elements['regulator']!.pressureDrop,
    );
    const change = dirty.pressures['rail-end']! - clean.pressures['rail-end']!;
    expect(Math.abs(change)).toBeLessThan(1e3);
    expect(dirty.pumps['pump']!.flow).toBeLessThan(clean.pumps['pump']!.flow);
  });

  test('the run ends at the rail; nothing comes back from there', () => {
    const { feed, back } = fuelRun(circuit!);
    expect(feed.map((e) => e.id)).toEqual([
      'strainer',
      'pump',
      'pump-hose',
      'hanger',
      'regulator-hose',
      'regulator',
      'feed',
      'rail',
    ]);
    expect(back).toEqual([]);
    expect(runOf(circuit!)).toHaveLength(8);
  });

  test('is refused when its way back is its way forward', async () => {
    const { referenceProblems } = await import('./references.ts');
    const wrong = withValueAt(
      sandpiper,
      'fuelCircuits.main.elements.regulator.returnNode',
      'regulated',
    );
    expect(referenceProblems(wrong, sampleCatalogue).map((p) => pathText(p.path))).toContain(
      'fuelCircuits.main.elements.regulator.returnNode',
    );
  });
});
