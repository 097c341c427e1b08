import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { petrol } from '../../tests/hydraulicParts.ts';
import { boreArea } from './fluid.ts';
import { frictionFactor } from './friction.ts';
import { pipeLoss, reynoldsNumber } from './pipeBranch.ts';

describe('friction factor', () => {
  test('is 64/Re while laminar', () => {
    expect(frictionFactor(1000, 1e-3).factor).toBeCloseTo(0.064, 12);
    expect(frictionFactor(2300, 1e-3).factor).toBeCloseTo(64 / 2300, 12);
  });

  test('satisfies Colebrook from 4000 up', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4000, max: 1e8, noNaN: true }),
        fc.double({ min: 0, max: 0.05, noNaN: true }),
        (reynolds, roughness) => {
          const f = frictionFactor(reynolds, roughness).factor;
          const x = 1 / Math.sqrt(f);
          const residual = x + 2 * Math.log10(roughness / 3.7 + (2.51 * x) / reynolds);
          expect(Math.abs(residual)).toBeLessThan(1e-10);
        },
      ),
    );
  });

  test.each([
    // Moody chart values computed from the Colebrook equation by hand iteration.
    [1e5, 0, 0.01799],
    [1e5, 1e-3, 0.02217],
    [1e4, 0, 0.03089],
    [1e6, 1e-4, 0.01344],
  ])('at Re %d, ε/D %d is %d', (reynolds, roughness, expected) => {
    expect(frictionFactor(reynolds, roughness).factor).toBeCloseTo(expected, 4);
  });

  test('is a straight line in Re between 2300 and 4000', () => {
    const low = frictionFactor(2300, 1e-3).factor;
    const high = frictionFactor(4000, 1e-3).factor;
    expect(frictionFactor(3150, 1e-3).factor).toBeCloseTo((low + high) / 2, 12);
  });

  test('slope agrees with a difference quotient in all three regimes', () => {
    for (const reynolds of [500, 2200, 3000, 3900, 5000, 2e4, 1e6]) {
      const h = reynolds * 1e-6;
      const quotient =
        (frictionFactor(reynolds + h, 6e-4).factor - frictionFactor(reynolds - h, 6e-4).factor) /
        (2 * h);
      expect(frictionFactor(reynolds, 6e-4).perReynolds / quotient).toBeCloseTo(1, 5);
    }
  });
});

describe('loss of a line', () => {
  const line = { length: 4, bore: 8e-3, roughness: 5e-6, losses: [] };

  test('is Hagen-Poiseuille while laminar', () => {
    const massFlow = 0.004;
    const flow = massFlow / petrol.density;
    const expected = (128 * petrol.viscosity * line.length * flow) / (Math.PI * line.bore ** 4);
    expect(reynoldsNumber(massFlow, line.bore, petrol.viscosity)).toBeLessThan(2300);
    expect(pipeLoss(line, massFlow, petrol)).toBeCloseTo(expected, 6);
  });

  test('is Darcy-Weisbach with fittings on their own bores', () => {
    const massFlow = 0.05;
    const losses = [
      { lossCoefficient: 0.9, bore: 7.2e-3, count: 2 },
      { lossCoefficient: 0.5, bore: 7.2e-3, count: 1 },
    ];
    const velocity = massFlow / petrol.density / boreArea(line.bore);
    const inFitting = massFlow / petrol.density / boreArea(7.2e-3);
    const { factor } = frictionFactor(
      reynoldsNumber(massFlow, line.bore, petrol.viscosity),
      line.roughness / line.bore,
    );
    const expected =
      (factor * line.length * petrol.density * velocity ** 2) / line.bore / 2 +
      (2.3 * petrol.density * inFitting ** 2) / 2;
    expect(pipeLoss({ ...line, losses }, massFlow, petrol)).toBeCloseTo(expected, 5);
  });

  test('never falls when flow rises, and turns its sign with the flow', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-5, max: 0.4, noNaN: true }),
        fc.double({ min: 1.001, max: 3, noNaN: true }),
        (massFlow, more) => {
          const here = pipeLoss(line, massFlow, petrol);
          expect(pipeLoss(line, massFlow * more, petrol)).toBeGreaterThan(here);
          expect(pipeLoss(line, -massFlow, petrol)).toBeCloseTo(-here, 9);
        },
      ),
    );
  });

  test('is zero without flow', () => {
    expect(
      pipeLoss({ ...line, losses: [{ lossCoefficient: 2, bore: 6e-3, count: 3 }] }, 0, petrol),
    ).toBe(0);
  });
});
