import { describe, expect, test } from 'vitest';
import type { Fuel } from '../build/index.ts';
import { demandFormulas } from '../demand/index.ts';
import { derive, given } from '../results/index.ts';
import {
  REID_TEMPERATURE,
  ambientPressure,
  blendVapourFactor,
  blendVapourPressure,
  ethanol,
  ethanolVapourPressure,
  fuelLabel,
  fuelProperties,
  fuelViscosity,
  methanol,
  methanolVapourPressure,
  petrolE0,
  petrolVapourPressure,
} from './index.ts';

const entered = demandFormulas.find((f) => f.name === 'temperature as entered')!;
const hottest = (celsius: number) =>
  derive({
    key: 'fuel.hottestTemperature',
    label: 'Hottest fuel',
    formula: entered,
    inputs: { entered: given(celsius + 273.15, 'default') } as never,
  });
const blend = (share: number): Fuel => ({
  id: 'f',
  kind: 'petrol-ethanol',
  name: 'blend',
  ethanol: { value: share, unit: '%' },
  reidVapourPressure: { value: 60e3, unit: 'kPa' },
});
const of = (fuel: Fuel, celsius = 20) =>
  fuelProperties({ fuel, prefix: 'fuel', at: 'fuels.0', hottest: hottest(celsius) });

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
      reidVapourPressure: 60e3,
      ethanolShare: 0.1,
      ethanolMassFraction: 0.106,
    });
    expect(at / petrolVapourPressure(REID_TEMPERATURE, 60e3)).toBeCloseTo(1.12, 12);
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
