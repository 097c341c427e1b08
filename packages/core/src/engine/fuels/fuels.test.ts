import { describe, expect, test } from 'vitest';
import type { Fuel } from '../../model/index.ts';
import { demandFormulas } from '../demand/formulas.ts';
import { derive, given } from '../../results/index.ts';
import {
  REID_TEMPERATURE,
  blendVapourFactor,
  blendVapourPressure,
  ethanolVapourPressure,
  methanolVapourPressure,
  petrolReidOf,
  petrolVapourPressure,
  reidOfBlend,
} from './vapourPressure.ts';
import { ambientPressure } from './atmosphere.ts';
import { ethanol, methanol, petrolE0 } from './pureFuels.ts';
import { fuelLabel, fuelProperties } from './fuelProperties.ts';
import { engineFigure } from '../figureNames.ts';
import { fuelViscosity } from './viscosity.ts';

const entered = demandFormulas.find((f) => f.name === 'temperature as entered')!;
const temperature = (
  figure: 'fuel.hottestTemperature' | 'fuel.coldestTemperature',
  celsius: number,
) =>
  derive({
    figure: engineFigure(figure),
    label: 'Fuel temperature',
    formula: entered,
    inputs: { entered: given(celsius + 273.15, 'default') } as never,
  });
const blend = (share: number): Fuel => ({
  id: 'f',
  kind: 'petrol-ethanol',
  name: 'blend',
  ethanol: { value: share, unit: '%' },
  reidVapourPressure: { value: 60e3, unit: 'kPa' },
  ethanolLowest: null,
});
const of = (fuel: Fuel, celsius = 20) =>
  fuelProperties({
    fuel,
    scope: {},
    hottest: temperature('fuel.hottestTemperature', celsius),
    coldest: temperature('fuel.coldestTemperature', -10),
  });

describe('vapour pressure check values', () => {
  test('petrol of RVP 60 kPa at 50 °C is 91.6 kPa', () => {
    expect(petrolVapourPressure(323.15, 60e3) / 1e3).toBeCloseTo(91.6, 1);
  });
  test('ethanol at 20 °C is 5.83 kPa', () => {
    expect(ethanolVapourPressure(293.15) / 1e3).toBeCloseTo(5.83, 2);
  });
  test('methanol at 37.8 °C is 31.95 kPa', () => {
    expect(methanolVapourPressure(310.95) / 1e3).toBeCloseTo(31.95, 1);
  });
  test('pure ethanol has its own 15.9 kPa at 37.8 °C', () => {
    expect(ethanolVapourPressure(REID_TEMPERATURE) / 1e3).toBeCloseTo(15.9, 0);
  });
});

describe('blends', () => {
  test('E10 gives 14.10 and E85 gives 9.81', () => {
    expect(of(blend(0.1)).stoichAirFuelRatio).toBeCloseTo(14.1, 2);
    expect(of(blend(0.85)).stoichAirFuelRatio).toBeCloseTo(9.81, 2);
  });

  test('the ends are the pure fuels', () => {
    const e0 = of(blend(0));
    expect(e0.density15).toBe(petrolE0.density);
    expect(e0.stoichAirFuelRatio).toBe(petrolE0.stoichAirFuelRatio);
    const e100 = of(blend(1));
    expect(e100.density15).toBe(ethanol.density);
    expect(e100.lowerHeatingValue).toBeCloseTo(ethanol.lowerHeatingValue, 3);
    expect(e100.hot.vapourPressureAbsolute).toBeCloseTo(ethanolVapourPressure(293.15), 6);
  });

  test('density is linear in the share by volume and lies between the pure fuels', () => {
    expect(of(blend(0.5)).density15).toBeCloseTo((petrolE0.density + ethanol.density) / 2, 9);
  });

  test('a little ethanol raises vapour pressure, a lot lowers it', () => {
    const factor = (share: number) => blendVapourFactor(share, 60e3);
    expect(factor(0)).toBe(1);
    expect(factor(0.05)).toBeCloseTo(1.11, 12);
    expect(factor(0.1)).toBeCloseTo(1.12, 12);
    expect(factor(0.85)).toBeCloseTo(0.63, 12);
    expect(factor(1)).toBeLessThan(0.3);
    expect(factor(0.075)).toBeGreaterThan(factor(0.05));
  });

  test('vapour pressure at 37.8 °C is the factor times that of petrol', () => {
    const at = blendVapourPressure({
      temperature: REID_TEMPERATURE,
      petrolReid: 60e3,
      ethanolShare: 0.1,
      ethanolMassFraction: 0.106,
    });
    expect(at / petrolVapourPressure(REID_TEMPERATURE, 60e3)).toBeCloseTo(1.12, 12);
  });

  test('the printed Reid value is that of the fuel as sold', () => {
    const sold = (share: number, celsius: number) => of(blend(share), celsius).hot;
    // The pressure of an E10 sold at 60 kPa is near that of a petrol of 60 kPa, not 12 % above.
    for (const celsius of [34, 37.8, 43]) {
      const petrol = petrolVapourPressure(celsius + 273.15, 60e3);
      const e10 = sold(0.1, celsius).vapourPressureAbsolute;
      expect(Math.abs(e10 / petrol - 1), `${celsius} °C`).toBeLessThan(0.015);
    }
    const inIt = petrolReidOf(60e3, 0.1);
    expect(inIt).toBeCloseTo(60e3 / 1.12, 3);
  });

  test('the petrol in a blend and the blend it makes belong together', () => {
    for (const share of [0, 0.03, 0.1, 0.4, 0.85, 0.9]) {
      for (const petrol of [45e3, 60e3, 90e3]) {
        expect(petrolReidOf(reidOfBlend(share, petrol), share) / petrol).toBeCloseTo(1, 9);
      }
    }
    expect(reidOfBlend(1, 60e3)).toBeLessThan(reidOfBlend(0.85, 60e3));
    expect(Number.isFinite(petrolReidOf(60e3, 1))).toBe(true);
  });

  test('hotter fuel is lighter, thinner and nearer to boiling', () => {
    const cold = of(blend(0.1), 0).hot;
    const hot = of(blend(0.1), 60).hot;
    expect(hot.density).toBeLessThan(cold.density);
    expect(hot.viscosity).toBeLessThan(cold.viscosity);
    expect(hot.vapourPressureAbsolute).toBeGreaterThan(cold.vapourPressureAbsolute);
  });

  test('density at 15 °C does not depend on the hot temperature', () => {
    expect(of(blend(0.3), 60).density15).toBe(of(blend(0.3), 0).density15);
    expect(of(blend(0.3), 15).hot.density).toBeCloseTo(of(blend(0.3)).density15, 9);
  });
});

describe('methanol', () => {
  const pure: Fuel = { id: 'm', kind: 'methanol', name: 'Methanol' };
  test('has the table values', () => {
    const properties = of(pure, 15);
    expect(properties.density15).toBe(methanol.density);
    expect(properties.stoichAirFuelRatio).toBe(6.46);
    expect(properties.hot.density).toBeCloseTo(796, 9);
  });
  test('is labelled apart from blends', () => {
    expect(fuelLabel(pure)).toBe('M100');
    expect(fuelLabel(blend(0.85))).toBe('E85');
  });
});

describe('viscosity', () => {
  test.each([petrolE0, ethanol, methanol])('meets both table points', (fuel) => {
    expect(fuelViscosity(fuel, 293.15)).toBeCloseTo(fuel.viscosity20, 12);
    expect(fuelViscosity(fuel, 333.15)).toBeCloseTo(fuel.viscosity60, 12);
  });
});

describe('standard atmosphere', () => {
  test.each([
    [0, 101325],
    [1000, 89874.6],
    [2000, 79495.2],
    [5000, 54019.9],
  ])('ISO 2533 at %d m', (altitude, pressure) => {
    expect(Math.abs(ambientPressure(altitude) / pressure - 1)).toBeLessThan(1e-4);
  });
});
