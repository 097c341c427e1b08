import { matchedSet } from '../injectors/matchedSet.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import { rowMassFlow } from '../running/rowShare.ts';
import { scalePoint, supportedPower } from '../running/scalePoint.ts';
import { assumedDifference, injectionOf, rowDifference } from '../running/solvePoint.ts';

const SPREAD = 0.03;

/** Measured flows of a set against each other. */
const spread: FuelRule = {
  id: 'injector.spread',
  source: 'matched sets: (max − min) / mean, warn above 3 %',
  check: ({ document }) =>
    document.injectorRows.flatMap((row): BuildFinding[] => {
      const flows = row.measuredFlows.map((f) => f.value);
      if (flows.length === 0) return [];
      const found: BuildFinding[] = [];
      if (flows.length !== row.count) {
        found.push({
          id: `injector.measured:${row.id}`,
          rule: 'injector.spread',
          severity: 'note',
          where: { stage: 'injectors', row: row.id },
          title: 'Not every injector was measured',
          because: '{measured} flows are entered for {count} injectors',
          numbers: {
            measured: { value: flows.length, kind: 'count' },
            count: { value: row.count, kind: 'count' },
          },
          cures: () => [{ text: 'Enter the flow of each, or of none' }],
        });
      }
      const set = matchedSet(flows);
      if (set.spread > SPREAD) {
        found.push({
          id: `injector.spread:${row.id}`,
          rule: 'injector.spread',
          severity: 'warn',
          where: { stage: 'injectors', row: row.id },
          title: 'Injectors are not a matched set',
          because: 'their flows differ by {spread} of the mean; up to {limit} is good',
          numbers: {
            spread: { value: set.spread, kind: 'ratio' },
            limit: { value: SPREAD, kind: 'ratio' },
          },
          measured: { value: set.spread, kind: 'ratio' },
          limit: { value: SPREAD, kind: 'ratio' },
          worse: 'higher',
          cures: () => [
            { text: 'Clean or replace the one that is furthest off and measure again' },
            {
              text: 'Delete these measurements',
              command: {
                name: 'set',
                path: ['injectorRows', row.id, 'measuredFlows'],
                value: {},
              },
            },
          ],
        });
      }
      return found;
    }),
};

/** Power W up to which the other rows carry an engine of which one row does not open. */
export function powerWithoutRow(checked: FuelChecked, lostRow: string): number | null {
  const { design, document } = checked;
  const others = checked.fluids.flatMap((fluid) =>
    fluid.design.rows.filter((r) => r.row.id !== lostRow).map((row) => ({ fluid, row })),
  );
  return supportedPower(document.brief.power.value, (factor) =>
    Math.min(
      ...others.map(({ fluid, row }) => {
        const point = { ...scalePoint(design, fluid.cases.peakPower.point, factor), lostRow };
        if (rowMassFlow(row, point) === 0) return Infinity;
        const assumed = assumedDifference(design, fluid.design, point);
        const { duty } = injectionOf(design, fluid.design, row, point, assumed);
        return document.limits.injectorDuty.value - duty;
      }),
    ),
  );
}

const secondRowLost: FuelRule = {
  id: 'injector.row-lost',
  source: 'the power that the first rows carry if a staged row does not open',
  check: (checked) =>
    checked.document.injectorRows.flatMap((row): BuildFinding[] => {
      if (row.staging === null) return [];
      const power = powerWithoutRow(checked, row.id);
      const target = checked.document.brief.power.value;
      if (power === null || power >= target) return [];
      return [
        {
          id: `injector.row-lost:${row.id}`,
          rule: 'injector.row-lost',
          severity: 'note',
          where: { stage: 'injectors', row: row.id },
          title: 'Power if the second row does not open',
          because: `the others carry {power} of {target} within their duty limit: set the ECU to cut or lower boost above that when λ rises`,
          numbers: {
            power: { value: power, kind: 'power' },
            target: { value: target, kind: 'power' },
          },
          measured: { value: power, kind: 'power' },
          limit: { value: target, kind: 'power' },
          worse: 'lower',
          cures: () => [
            { text: 'Set a limit in the ECU, or fit larger injectors in the first row' },
          ],
        },
      ];
    }),
};

const LOW = { from: 1.5, to: 4 };
const HIGH = 8;

/** Coils that are neither clearly high nor clearly low. */
const impedance: FuelRule = {
  id: 'injector.impedance',
  source: 'high from 8 Ω, low 1.5 to 4 Ω; between or below: ask the maker',
  check: (checked) =>
    checked.fluids.flatMap((fluid) =>
      fluid.design.rows.flatMap(({ row, injector }): BuildFinding[] => {
        const ohm = injector.resistance;
        if (ohm >= HIGH || (ohm >= LOW.from && ohm <= LOW.to)) return [];
        return [
          {
            id: `injector.impedance:${row.id}`,
            rule: 'injector.impedance',
            severity: 'warn',
            where: { stage: 'injectors', row: row.id },
            title: 'Coil resistance is unusual',
            because: `${injector.designation} has {resistance}: neither a high nor a low impedance injector`,
            numbers: { resistance: { value: ohm, kind: 'resistance' } },
            measured: { value: ohm, kind: 'resistance' },
            cures: () => [{ text: 'Ask the maker how it is driven, and measure it' }],
          },
        ];
      }),
    ),
};

/** Dead time read outside its table is an extrapolation: said, never silent. */
const outsideData: FuelRule = {
  id: 'injector.outside-data',
  source: 'dead time from the data sheet’s table; outside it is extrapolated and flagged',
  check: (checked) =>
    checked.fluids.flatMap((fluid) =>
      fluid.design.rows.flatMap((row) =>
        Object.values(fluid.cases).flatMap(({ point, solution }): BuildFinding[] => {
          const works = point.speed > 0 && rowMassFlow(row, point) > 0;
          if (solution.state === 'failed' || !works) return [];
          const difference = rowDifference(fluid.design, row, solution);
          const injection = injectionOf(checked.design, fluid.design, row, point, difference);
          if (!injection.deadTimeOutside) return [];
          return [
            {
              id: `injector.outside-data:${row.row.id}/${point.name}`,
              rule: 'injector.outside-data',
              severity: 'note',
              where: { stage: 'injectors', row: row.row.id },
              title: `${point.label}: dead time is outside its table`,
              because: 'at {voltage} and {difference} the data sheet has no value',
              numbers: {
                voltage: { value: point.systemVoltage, kind: 'voltage' },
                difference: { value: difference, kind: 'pressure' },
              },
              cures: () => [{ text: 'Add data-sheet points for this voltage and pressure' }],
            },
          ];
        }),
      ),
    ),
};

export const rowRules = [spread, secondRowLost, impedance, outsideData];
