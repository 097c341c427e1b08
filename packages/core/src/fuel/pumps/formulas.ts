import { entryAt, firstOf, pchip } from '../../numerics/index.ts';
import { defineFormula } from '../../results/index.ts';

export const curveCurrent = defineFormula({
  name: 'pump current from its curves',
  notation: 'I = I(Q / (1 − wear), V): monotone cubic over flow, straight in voltage',
  kind: 'current',
  inputKinds: {
    flow: 'volumeFlow',
    wear: 'ratio',
    voltage: 'voltage',
    curveVoltages: 'voltage',
    pointsPerCurve: 'count',
    curveFlows: 'volumeFlow',
    curveCurrents: 'current',
  },
  source: 'data-sheet curves, at the solved flow and voltage',
  compute: (i: {
    flow: number;
    wear: number;
    voltage: number;
    curveVoltages: readonly number[];
    pointsPerCurve: readonly number[];
    curveFlows: readonly number[];
    curveCurrents: readonly number[];
  }) => {
    const fresh = Math.max(0, i.flow) / (1 - i.wear);
    let start = 0;
    const currents = i.pointsPerCurve.map((count) => {
      const flows = i.curveFlows.slice(start, start + count);
      const values = i.curveCurrents.slice(start, start + count);
      start += count;
      return pchip(flows, values).sample(fresh).value;
    });
    const volts = i.curveVoltages;
    if (volts.length === 1) return firstOf(currents);
    let k = 0;
    while (k < volts.length - 2 && i.voltage > entryAt(volts, k + 1)) k++;
    const t = (i.voltage - entryAt(volts, k)) / (entryAt(volts, k + 1) - entryAt(volts, k));
    return entryAt(currents, k) + t * (entryAt(currents, k + 1) - entryAt(currents, k));
  },
});

export const pumpFormulas = [curveCurrent];
