import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lookUp, newestOf } from '../../catalogue/index.ts';
import { sampleCatalogue } from '../../exchange/index.ts';
import { pumpModel } from '../pumps/pumpModel.ts';
import { petrol } from '../../tests/hydraulicParts.ts';
import { type BranchModel, FLOW_SCALE, signedSquare, signedSquareSlope } from './branchModel.ts';
import { GRAVITY } from './fluid.ts';
import { closedBranch, heldPressure, regulatorBranch, wideOpenLoss } from './regulatorBranch.ts';
import { drawBranch } from './drawBranch.ts';
import { filterBranch, filterLaw } from './filterBranch.ts';
import { fittingBranch } from './fittingBranch.ts';
import { localLossFactor, pipeBranch } from './pipeBranch.ts';
import { pumpBranch } from './pumpBranch.ts';

const regulatorItem = lookUp(sampleCatalogue, 'regulator', { id: 'RR-M', revision: 1 }, 'test');
const pump = pumpModel({
  item: lookUp(sampleCatalogue, 'pump', { id: 'P340X', revision: 1 }, 'test'),
  wear: 0.1,
  supply: { openCircuitV: 12.2, seriesResistanceOhm: 0.06 },
});
const setting = { item: regulatorItem, setPressure: 300e3, manifoldRatio: 1 };
const common = { rise: 0.3, fluid: petrol, initialFlow: 0.01 };
const filterItem = newestOf(sampleCatalogue, 'filter').find((f) => f.id === 'F10')!;

const models: Record<string, BranchModel> = {
  pipe: pipeBranch({
    ...common,
    pipe: {
      length: 4,
      bore: 8e-3,
      roughness: 5e-6,
      losses: [{ lossCoefficient: 0.9, bore: 7e-3, count: 2 }],
    },
  }),
  fitting: fittingBranch({ ...common, loss: { lossCoefficient: 1.5, bore: 9e-3, count: 1 } }),
  filter: filterBranch({ ...common, law: filterLaw(filterItem), loadedFactor: 3 }),
  pump: pumpBranch({ ...common, pump, smoothing: 0 }),
  'smoothed pump': pumpBranch({ ...common, pump, smoothing: 1e4 }),
  regulator: regulatorBranch({
    setting,
    manifoldGauge: 20e3,
    mode: 'regulating',
    fluid: petrol,
    initialFlow: 0.01,
    smoothing: 0,
  }),
  'smoothed regulator': regulatorBranch({
    setting,
    manifoldGauge: 20e3,
    mode: 'regulating',
    fluid: petrol,
    initialFlow: 0.01,
    smoothing: 3e3,
  }),
  'held regulator': regulatorBranch({
    setting,
    manifoldGauge: 20e3,
    mode: 'holding',
    fluid: petrol,
    initialFlow: 0.01,
    smoothing: 0,
  }),
  draw: drawBranch({ demand: 0.02, staticCoefficient: 4e-5, manifoldGauge: 10e3 }),
};

const residual = (model: BranchModel, m: number, from: number, to: number): Float64Array => {
  const out = new Float64Array(4);
  model.residual(m, from, to, out, 0);
  return out;
};

describe('slopes of every law', () => {
  const places: [number, number, number][] = [
    [0.002, 320e3, 310e3],
    [0.021, 330e3, 20e3],
    [0.035, 390e3, 5e3],
    [0.05, 200e3, 150e3],
    [-0.004, 100e3, 130e3],
  ];
  test.each(Object.keys(models))('%s: slopes are difference quotients', (name) => {
    const model = models[name]!;
    for (const [m, from, to] of places) {
      const at = residual(model, m, from, to);
      const quotient = (dm: number, df: number, dt: number): number =>
        (residual(model, m + dm, from + df, to + dt)[0]! -
          residual(model, m - dm, from - df, to - dt)[0]!) /
        (2 * (dm + df + dt));
      const expected = [quotient(1e-8, 0, 0), quotient(0, 0.5, 0), quotient(0, 0, 0.5)];
      expected.forEach((value, i) => {
        const slope = at[i + 1]!;
        const size = Math.max(Math.abs(slope), Math.abs(value), i === 0 ? 1e4 : 1e-3);
        expect(Math.abs(slope - value) / size, `${name} at ${m}, ${i}`).toBeLessThan(2e-4);
      });
    }
  });

  test('the smoothed law goes over into the true one', () => {
    // A point on the curve: flow runs and the gap is zero.
    const flow = 0.02;
    const rise = pump.operate(flow / petrol.density).pressureRise;
    const level = rise - petrol.density * GRAVITY * 0.3;
    const off = [1e5, 1e4, 1e3, 10, 0].map((smoothing) =>
      Math.abs(residual(pumpBranch({ ...common, pump, smoothing }), flow, 0, level)[0]!),
    );
    expect([...off].sort((a, b) => b - a)).toEqual(off);
    expect(off.at(-1)).toBeLessThan(1e-6);
    expect(off[0]).toBeGreaterThan(1e3);
  });
});

describe('each law where it holds', () => {
  test('height costs ρ g z whatever the element', () => {
    for (const name of ['pipe', 'fitting', 'filter']) {
      const r = residual(models[name]!, 0, 50e3, 50e3 - petrol.density * GRAVITY * 0.3);
      expect(Math.abs(r[0]!), name).toBeLessThan(1e-6);
    }
  });

  test('fitting: K ρ v²/2 in its own bore', () => {
    const m = 0.04;
    const area = (Math.PI / 4) * 9e-3 ** 2;
    const velocity = m / petrol.density / area;
    const drop = 1.5 * 0.5 * petrol.density * velocity ** 2;
    const r = residual(models['fitting']!, m, drop + petrol.density * GRAVITY * 0.3, 0);
    expect(r[0]).toBeCloseTo(0, 5);
  });

  test('a loaded filter loses its factor times as much', () => {
    const law = filterLaw(filterItem);
    const drop = (loadedFactor: number): number =>
      -residual(filterBranch({ ...common, rise: 0, law, loadedFactor }), 0.03, 0, 0)[0]!;
    expect(drop(3) / drop(1)).toBeCloseTo(3, 9);
  });

  test('a shut branch lets nothing pass', () => {
    expect([...residual(closedBranch, 0, 1e5, 0)]).toEqual([0, FLOW_SCALE, 0, 0]);
  });

  test('regulator: set plus ratio times manifold, orifice when wide open', () => {
    expect(heldPressure(setting, -60e3)).toBe(240e3);
    expect(heldPressure({ ...setting, manifoldRatio: 1.5 }, 80e3)).toBe(420e3);
    const flow = 60e-3 / 3600;
    expect(wideOpenLoss(regulatorItem, flow, 740)).toBeCloseTo(
      (740 * flow ** 2) / (2 * regulatorItem.openArea ** 2),
      9,
    );
  });

  test('two losses in a row add', () => {
    const one = { lossCoefficient: 0.6, bore: 8e-3, count: 1 };
    const two = { lossCoefficient: 1.3, bore: 6e-3, count: 2 };
    expect(localLossFactor([one, two], 740)).toBeCloseTo(
      localLossFactor([one], 740) + localLossFactor([two], 740),
      6,
    );
  });

  test('the softened square is odd, rising, and a square away from zero', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.1, max: 0.1, noNaN: true }), (m) => {
        expect(signedSquare(-m)).toBeCloseTo(-signedSquare(m), 15);
        expect(signedSquareSlope(m)).toBeGreaterThan(0);
        if (Math.abs(m) > 1e-4) {
          expect(signedSquare(m) / (m * Math.abs(m))).toBeCloseTo(1, 5);
        }
      }),
    );
  });
});
