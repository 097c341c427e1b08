import { revolutionsPerCycle } from '../../engine/index.ts';
import { injectionAt } from '../injectors/injection.ts';
import type { RowDesign, StagingDesign } from './design.ts';
import type { RunningPoint } from './runningPoint.ts';

/** Duty of the first row when it alone gives all the fuel, at its nominal pressure difference. */
export function dutyAlone(staging: StagingDesign, point: RunningPoint): number {
  const { first } = staging;
  if (point.speed === 0 || point.massFlow === 0) return 0;
  return injectionAt({
    injector: first.injector,
    row: first.row,
    rowMassFlow: point.massFlow * first.massShareAlone,
    speed: point.speed,
    revolutionsPerCycle: revolutionsPerCycle[staging.cycle],
    pressureDifference: first.nominalDifference,
    fuelDensity: first.fuelDensity,
    voltage: point.systemVoltage,
  }).duty;
}

/** How far a staged row has joined: 0 below its duty, 1 once blended in; 0 when it is lost. */
export function stagedIn(staging: StagingDesign, point: RunningPoint): number {
  if (staging.rowIds.some((id) => id === point.lostRow)) return 0;
  const over = dutyAlone(staging, point) - staging.aboveDuty;
  return Math.min(1, Math.max(0, over / staging.blend));
}

/**
 * Fuel mass flow of a row at a running point, kg/s. Rows that work always take over the air of a
 * staged row that has not joined; a row that is lost gives nothing and nothing takes its place,
 * unless it is the staged one, which the ECU leaves out.
 */
export function rowMassFlow(row: RowDesign, point: RunningPoint): number {
  if (point.lostRow === row.row.id) return 0;
  const { staging } = row;
  if (!staging) return point.massFlow * row.massShare;
  const joined = stagedIn(staging, point);
  return staging.staged
    ? point.massFlow * row.massShare * joined
    : point.massFlow * (row.massShareAlone + (row.massShare - row.massShareAlone) * joined);
}
