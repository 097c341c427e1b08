import type { BuildFinding, BuildRule } from '../checked.ts';
import { pumpCures } from './pumpCures.ts';

const LONGEST_PRIME = 1;

/** Time to bring a full line to 90 % of its pressure at key-on. */
export const prime: BuildRule = {
  id: 'prime.time',
  source: 'a full line reaches 90 % of set within 1 s of key-on',
  check: (checked) =>
    checked.fluids.flatMap((fluid, i): BuildFinding[] => {
      const { circuit } = fluid.design;
      const time = checked.results.get(i === 0 ? 'prime.time' : `prime.${circuit.id}.time`);
      if (!time || time.value <= LONGEST_PRIME) return [];
      return [
        {
          id: `prime.time:${circuit.id}`,
          rule: 'prime.time',
          severity: 'warn',
          where: `circuit:${circuit.id}/${circuit.elements.find((e) => e.kind === 'pump')?.id ?? ''}`,
          title: 'Pressure comes up slowly at key-on',
          because: 'the full line takes {time} to 90 % of its pressure; {limit} is good',
          numbers: {
            time: { value: time.value, kind: 'duration' },
            limit: { value: LONGEST_PRIME, kind: 'duration' },
          },
          measured: { value: time.value, kind: 'duration' },
          limit: { value: LONGEST_PRIME, kind: 'duration' },
          worse: 'higher',
          cures: pumpCures(checked, fluid),
        },
      ];
    }),
};
