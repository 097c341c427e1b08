import type { Boiling } from '../running/boiling.ts';
import type { CaseName } from '../running/cases.ts';

/** Cases in which the fuel is hot and flows. */
export const hotCases: readonly CaseName[] = ['hotIdle', 'cruise', 'peakTorque', 'peakPower'];

/** Which fuel boiling was judged with; `{temperature}` is filled in by the finding. */
export const fuelInWords = ({ warmed }: Pick<Boiling, 'warmed'>): string =>
  warmed
    ? 'with the tank at {temperature} after an hour of cruising'
    : 'with the hottest fuel, at {temperature}';
