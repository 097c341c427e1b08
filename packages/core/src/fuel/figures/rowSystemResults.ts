import {
  coilHoldCurrent,
  rowCoilCurrent,
  shotPeriod,
  stagingFlow,
  staticMassFlow,
} from '../injectors/formulas.ts';
import { deadTime } from '../injectors/injection.ts';
import { revolutionsPerCycle } from '../../engine/index.ts';
import {
  type Result,
  byDefault,
  computeFormula,
  derive,
  entered,
  following,
  fromItem,
} from '../../results/index.ts';
import { fuelFigure } from '../figureNames.ts';
import type { NamedDesign, RowDesign } from '../running/design.ts';

/** What each coil and a whole row draw held open, at running voltage. */
function coilResults(design: NamedDesign, row: RowDesign): Result[] {
  const { limits } = design.document;
  const current = derive({
    figure: fuelFigure('injector.coilCurrent', { row: row.row.id }),
    label: `${row.row.name}, coil current held open`,
    formula: coilHoldCurrent,
    inputs: {
      voltage: entered(limits.voltageRunning, ['limits', 'voltageRunning']),
      coil: fromItem(row.injector.resistance, row.injector),
      ballast: row.row.ballast
        ? entered(row.row.ballast, ['injectorRows', row.row.id, 'ballast'])
        : byDefault(0, 'no ballast'),
    },
  });
  return [
    current,
    derive({
      figure: fuelFigure('injector.rowCurrent', { row: row.row.id }),
      label: `${row.row.name}, current of the row`,
      formula: rowCoilCurrent,
      inputs: { count: entered(row.row.count, ['injectorRows', row.row.id, 'count']), current },
    }),
  ];
}

/** Engine fuel at which the staged rows join, at the power speed. */
function stagingResults(design: NamedDesign, row: RowDesign): Result[] {
  const { staging } = row;
  if (!staging || !staging.staged) return [];
  const { brief, limits } = design.document;
  const { first } = staging;
  const speed = brief.powerSpeed.value;
  const period = computeFormula(shotPeriod, {
    revolutionsPerCycle: revolutionsPerCycle[brief.cycle],
    shotsPerCycle: first.row.shotsPerCycle,
    speed,
  });
  const dead = deadTime(first.injector, limits.voltageLow.value, first.nominalDifference);
  const flow = computeFormula(staticMassFlow, {
    ratedFlow: first.injector.ratedFlow,
    ratedDensity: first.injector.ratedDensity,
    ratedPressure: first.injector.ratedPressure,
    fuelDensity: first.fuelDensity,
    pressureDifference: first.nominalDifference,
  });
  return [
    derive({
      figure: fuelFigure('staging.massFlow', { row: row.row.id }),
      label: `${row.row.name} joins at engine fuel flow`,
      formula: stagingFlow,
      inputs: {
        aboveDuty: entered(staging.aboveDuty, ['injectorRows', row.row.id, 'staging', 'aboveDuty']),
        period: following(period, ['brief', 'powerSpeed']),
        deadTime: fromItem(dead.value, first.injector),
        staticMassFlow: fromItem(flow, first.injector),
        count: entered(first.row.count, ['injectorRows', first.row.id, 'count']),
        share: following(first.massShareAlone, ['injectorRows', first.row.id, 'airShare']),
      },
    }),
  ];
}

/** Coil currents of every row, and where staged rows join. */
export const rowSystemResults = (design: NamedDesign): Result[] =>
  design.circuits.flatMap((circuit) =>
    circuit.rows.flatMap((row) => [...coilResults(design, row), ...stagingResults(design, row)]),
  );
