import { stateOf } from '../hydraulics/solveCircuit.ts';
import { lookUp } from '../../catalogue/index.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import { onSolved, where } from './onCircuits.ts';
import { largerHoseCure } from './swapCure.ts';

export const FEED_VELOCITY_GOOD = 3;
export const FEED_VELOCITY_STOP = 4.5;

export const feedVelocity: FuelRule = {
  id: 'feed.velocity',
  partsDecide: true,
  source: 'feed at most 3 m/s, warned to 4.5 m/s',
  check: onSolved('peakPower', (checked, fluid, at, solution) =>
    fluid.design.circuit.elements.flatMap((line): BuildFinding[] => {
      if (line.kind !== 'line' || line.role !== 'feed') return [];
      const value = stateOf(solution, line.id).velocity!;
      if (value <= FEED_VELOCITY_GOOD) return [];
      return [
        {
          id: `feed.velocity:${line.id}`,
          rule: 'feed.velocity',
          severity: value > FEED_VELOCITY_STOP ? 'stop' : 'warn',
          where: where(fluid, line.id),
          title: 'Feed line is too small',
          because:
            'fuel flows at {velocity} in this line; up to {good} is good, above {limit} is a stop',
          numbers: {
            velocity: { value, kind: 'velocity' },
            good: { value: FEED_VELOCITY_GOOD, kind: 'velocity' },
            limit: { value: FEED_VELOCITY_STOP, kind: 'velocity' },
          },
          measured: { value, kind: 'velocity' },
          limit: { value: FEED_VELOCITY_STOP, kind: 'velocity' },
          worse: 'higher',
          rung: 'feed-velocity',
          cures: () =>
            largerHoseCure({
              checked,
              fluid,
              lineId: line.id,
              hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
              at,
              cured: (s) => stateOf(s, line.id).velocity! <= FEED_VELOCITY_GOOD,
            }),
        },
      ];
    }),
  ),
};
