import type { InjectorItem } from '../../catalogue/index.ts';
import type { InjectorRow } from '../../model/index.ts';
import { bilinear } from '../../numerics/index.ts';
import { computeFormula } from '../../results/index.ts';
import { duty, pulseWidth, shotPeriod, staticMassFlow } from './formulas.ts';

/** Dead time s at a supply voltage V and pressure difference Pa; outside the table is told. */
export function deadTime(
  injector: InjectorItem,
  voltage: number,
  pressureDifference: number,
): { value: number; outside: boolean } {
  return bilinear({
    rows: injector.deadTimeVoltages,
    columns: injector.deadTimePressures,
    table: injector.deadTimes,
    row: voltage,
    column: pressureDifference,
  });
}

/** Mass flow kg/s of one injector held open. */
export function staticFlow(
  injector: InjectorItem,
  fuelDensity: number,
  pressureDifference: number,
): number {
  return computeFormula(staticMassFlow, {
    ratedFlow: injector.ratedFlow,
    ratedDensity: injector.ratedDensity,
    ratedPressure: injector.ratedPressure,
    fuelDensity,
    pressureDifference,
  });
}

export interface InjectionPoint {
  readonly period: number;
  readonly pulse: number;
  readonly deadTime: number;
  readonly duty: number;
  readonly deadTimeOutside: boolean;
}

/** Pulse and duty of one row at one running point, SI. */
export function injectionAt(input: {
  injector: InjectorItem;
  row: Pick<InjectorRow, 'count' | 'shotsPerCycle'>;
  rowMassFlow: number;
  speed: number;
  revolutionsPerCycle: number;
  pressureDifference: number;
  fuelDensity: number;
  voltage: number;
}): InjectionPoint {
  const dead = deadTime(input.injector, input.voltage, input.pressureDifference);
  const period = computeFormula(shotPeriod, {
    revolutionsPerCycle: input.revolutionsPerCycle,
    shotsPerCycle: input.row.shotsPerCycle,
    speed: input.speed,
  });
  const pulse = computeFormula(pulseWidth, {
    rowMassFlow: input.rowMassFlow,
    period,
    count: input.row.count,
    staticMassFlow: staticFlow(input.injector, input.fuelDensity, input.pressureDifference),
    deadTime: dead.value,
  });
  return {
    period,
    pulse,
    deadTime: dead.value,
    duty: computeFormula(duty, { pulse, period }),
    deadTimeOutside: dead.outside,
  };
}
