import {
  coilHoldCurrent,
  deadTime,
  rowCoilCurrent,
  shotPeriod,
  stagingFlow,
  staticMassFlow,
} from '../../injectors/index.ts';
import { revolutionsPerCycle } from '../../demand/index.ts';
import { type Result, computeFormula, derive, given } from '../../results/index.ts';
import type { FluidDesign, RowDesign } from '../design.ts';

/** What each coil and a whole row draw held open, at running voltage. */
function coilResults(design: FluidDesign, row: RowDesign): Result[] {
  const { limits } = design.document;
  const current = derive({
    key: `injector.${row.row.id}.coilCurrent`,
    label: `${row.row.name}, coil current held open`,
    formula: coilHoldCurrent,
    inputs: {
      voltage: given(limits.voltageRunning.value, 'document:limits.voltageRunning'),
      coil: given(row.injector.resistance, `catalogue:${row.injector.id}`),
      ballast: given(row.row.ballast?.value ?? 0, 'document:injectorRows.ballast'),
    },
  });
  return [
    current,
    derive({
      key: `injector.${row.row.id}.rowCurrent`,
      label: `${row.row.name}, current of the row`,
      formula: rowCoilCurrent,
      inputs: { count: given(row.row.count, 'document:injectorRows.count'), current },
    }),
  ];
}

/** Engine fuel at which the staged rows join, at the power speed. */
function stagingResults(design: FluidDesign, row: RowDesign): Result[] {
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
  const catalogue = `catalogue:${first.injector.id}`;
  const flow = computeFormula(staticMassFlow, {
    ratedFlow: first.injector.ratedFlow,
    ratedDensity: first.injector.ratedDensity,
    ratedPressure: first.injector.ratedPressure,
    fuelDensity: first.fuelDensity,
    pressureDifference: first.nominalDifference,
  });
  return [
    derive({
      key: `staging.${row.row.id}.massFlow`,
      label: `${row.row.name} joins at engine fuel flow`,
      formula: stagingFlow,
      inputs: {
        aboveDuty: given(staging.aboveDuty, 'document:injectorRows.staging'),
        period: given(period, 'document:brief.powerSpeed'),
        deadTime: given(dead.value, catalogue),
        staticMassFlow: given(flow, catalogue),
        count: given(first.row.count, 'document:injectorRows.count'),
        share: given(first.massShareAlone, 'document:injectorRows.airShare'),
      },
    }),
  ];
}

/** Coil currents of every row, and where staged rows join. */
export const rowSystemResults = (design: FluidDesign): Result[] =>
  design.circuits.flatMap((circuit) =>
    circuit.rows.flatMap((row) => [...coilResults(design, row), ...stagingResults(design, row)]),
  );
