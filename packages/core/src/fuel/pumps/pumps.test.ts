import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lookUp, newestOf } from '../../catalogue/index.ts';
import { sampleCatalogue } from '../../exchange/index.ts';
import { deadHeadPressure, highestPumpCurrent } from '../../catalogue/index.ts';
import { pumpModel } from './pumpModel.ts';

const item = lookUp(sampleCatalogue, 'pump', { id: 'P340X', revision: 1 }, 'test');
const direct = (voltage: number, wear = 0) =>
  pumpModel({ item, wear, supply: { openCircuitV: voltage, seriesResistanceOhm: 0 } });

describe('pump curves', () => {
  test.each(newestOf(sampleCatalogue, 'pump').map((p) => [p.id, p] as const))(
    '%s meets every point of its data sheet',
    (_id, pump) => {
      for (const curve of pump.curves) {
        const model = pumpModel({
          item: pump,
          wear: 0,
          supply: { openCircuitV: curve.voltage, seriesResistanceOhm: 0 },
        });
        for (const point of curve.points) {
          const at = model.operate(point.flow);
          expect(at.pressureRise).toBeCloseTo(point.pressure, 6);
          expect(at.current).toBeCloseTo(point.current, 9);
          expect(at.voltage).toBe(curve.voltage);
        }
      }
    },
  );

  test('voltage between two curves is a straight line at one flow', () => {
    const flow = 40e-3 / 3600;
    const low = direct(12).operate(flow).pressureRise;
    const high = direct(13.5).operate(flow).pressureRise;
    expect(direct(12.75).operate(flow).pressureRise).toBeCloseTo((low + high) / 2, 6);
  });

  test('wear takes its share of flow at every pressure', () => {
    const fresh = direct(12);
    const worn = direct(12, 0.1);
    const flow = 60e-3 / 3600;
    expect(worn.operate(0.9 * flow).pressureRise).toBeCloseTo(fresh.operate(flow).pressureRise, 6);
    expect(worn.greatestFlow).toBeCloseTo(0.9 * fresh.greatestFlow, 12);
  });

  test('leaving the data is told', () => {
    expect(direct(12).operate(50e-3 / 3600).outsideData).toBe(false);
    expect(direct(12).operate(600e-3 / 3600).outsideData).toBe(true);
    expect(direct(6).operate(20e-3 / 3600).outsideData).toBe(true);
  });

  test('more flow never gives more pressure within the data', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 14.5, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        (voltage, share) => {
          const model = direct(voltage);
          const flow = share * model.greatestFlow;
          const here = model.operate(flow).pressureRise;
          expect(model.operate(flow * 1.05 + 1e-7).pressureRise).toBeLessThanOrEqual(here + 1e-6);
        },
      ),
    );
  });
});

describe('pump on its wiring', () => {
  test('terminal voltage and current obey Ohm and the curve together', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 11, max: 14.4, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (openCircuitV, seriesResistanceOhm, litresPerHour) => {
          const flow = (litresPerHour * 1e-3) / 3600;
          const wired = pumpModel({ item, wear: 0, supply: { openCircuitV, seriesResistanceOhm } });
          const at = wired.operate(flow);
          expect(at.voltage).toBeCloseTo(openCircuitV - at.current * seriesResistanceOhm, 9);
          expect(direct(at.voltage).operate(flow).current).toBeCloseTo(at.current, 9);
          expect(direct(at.voltage).operate(flow).pressureRise).toBeCloseTo(at.pressureRise, 4);
        },
      ),
    );
  });

  test('the slope over flow includes the change of voltage', () => {
    const wired = pumpModel({
      item,
      wear: 0.1,
      supply: { openCircuitV: 12.2, seriesResistanceOhm: 0.07 },
    });
    const flow = 42e-3 / 3600;
    const h = flow * 1e-6;
    const quotient =
      (wired.operate(flow + h).pressureRise - wired.operate(flow - h).pressureRise) / (2 * h);
    expect(wired.operate(flow).pressureRisePerFlow / quotient).toBeCloseTo(1, 5);
  });

  test('thicker wire never lowers the pressure', () => {
    const flow = 50e-3 / 3600;
    const rise = (r: number) =>
      pumpModel({ item, wear: 0, supply: { openCircuitV: 12.2, seriesResistanceOhm: r } }).operate(
        flow,
      ).pressureRise;
    expect(rise(0.02)).toBeGreaterThan(rise(0.06));
    expect(rise(0.06)).toBeGreaterThan(rise(0.2));
  });
});

describe('what a pump can do at most', () => {
  test('highest current and dead-head pressure are those of the data', () => {
    const points = item.curves.flatMap((c) => c.points);
    expect(highestPumpCurrent(item)).toBe(Math.max(...points.map((p) => p.current)));
    expect(deadHeadPressure(item)).toBe(Math.max(...points.map((p) => p.pressure)));
  });
});
