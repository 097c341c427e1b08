import { circuitScope, fuelFigure } from '../figureNames.ts';
import { pumpDuties } from '../circuits/circuitRun.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import { where } from './onCircuits.ts';
import { pumpCures } from './pumpCures.ts';

const LONGEST_PRIME = 1;

/** A pump that never brings the line to its pressure at key-on has no prime time at all. */
export const primeReach: FuelRule = {
  id: 'prime.reach',
  source: 'at key-on, engine standing and low voltage, the pump reaches the set pressure',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const { point, solution } = fluid.cases.keyOnPrime;
      const held = fluid.delivered.keyOnPrime;
      if (!held || held.available > 0 || solution.state === 'failed') return [];
      const pump = pumpDuties(fluid.design.circuit).main[0];
      const highest = Math.max(0, ...Object.values(solution.pumps).map((p) => p.pressureRise));
      return [
        {
          id: `prime.reach:${fluid.design.circuit.id}`,
          rule: 'prime.reach',
          severity: 'stop',
          where: where(fluid, pump?.id ?? ''),
          title: 'Pump cannot reach the set pressure at key-on',
          because:
            'at {voltage} it makes {highest}, below the set pressure: nothing flows and the line is never primed',
          numbers: {
            voltage: { value: point.systemVoltage, kind: 'voltage' },
            highest: { value: highest, kind: 'pressure' },
          },
          measured: { value: held.available, kind: 'volumeFlow' },
          limit: { value: 0, kind: 'volumeFlow' },
          worse: 'lower',
          rung: 'pump-flow',
          cures: () => pumpCures(checked, fluid),
        },
      ];
    }),
};

/** Time to bring a full line to 90 % of its pressure at key-on. */
export const prime: FuelRule = {
  id: 'prime.time',
  source: 'a full line reaches 90 % of set within 1 s of key-on',
  check: (checked) =>
    checked.fluids.flatMap((fluid, i): BuildFinding[] => {
      const { circuit } = fluid.design;
      const time = checked.results.find(fuelFigure('prime.time', circuitScope(i, circuit.id)));
      if (!time || time.value <= LONGEST_PRIME) return [];
      return [
        {
          id: `prime.time:${circuit.id}`,
          rule: 'prime.time',
          severity: 'warn',
          where: where(fluid, circuit.elements.find((e) => e.kind === 'pump')?.id ?? ''),
          title: 'Pressure comes up slowly at key-on',
          because: 'the full line takes {time} to reach 90 % of its pressure; {limit} is good',
          numbers: {
            time: { value: time.value, kind: 'duration' },
            limit: { value: LONGEST_PRIME, kind: 'duration' },
          },
          measured: { value: time.value, kind: 'duration' },
          limit: { value: LONGEST_PRIME, kind: 'duration' },
          worse: 'higher',
          cures: () => pumpCures(checked, fluid),
        },
      ];
    }),
};
