import type { Build } from '../../model/index.ts';
import { type ElectricCase, electricCases } from '../network/electricCases.ts';
import { isOnBy, switchingWays } from './conditions.ts';
import { switchKey } from './switches.ts';
import { stateIn } from './vehicleState.ts';

/** Whether what a row of the build tells of is on, in every case; by the key of its switch. */
export type SwitchedInCases = Readonly<Record<string, Readonly<Record<ElectricCase, boolean>>>>;

/** Whether each switch of which somebody said when it is on is on, in every case. */
export const switchedInCases = (switching: Build['switching']): SwitchedInCases =>
  Object.fromEntries(
    switching.map((row) => {
      const ways = switchingWays(row);
      const on = electricCases.map((inCase) => [inCase, isOnBy(ways, stateIn[inCase])] as const);
      return [switchKey(row), Object.fromEntries(on) as Record<ElectricCase, boolean>];
    }),
  );
