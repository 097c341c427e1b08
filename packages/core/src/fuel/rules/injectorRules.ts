import { firstOf } from '../../numerics/index.ts';
import { fuelFigure, rowScope } from '../figureNames.ts';
import { refOf } from '../../catalogue/index.ts';
import type { Cure } from '../../results/index.ts';
import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import type { RowDesign } from '../running/design.ts';
import { rowMassFlow } from '../running/rowShare.ts';

const rowsOf = (checked: FuelChecked) =>
  checked.fluids.flatMap((fluid) =>
    fluid.design.rows.map((row) => ({
      fluid,
      row,
      scope: rowScope(checked.document.injectorRows, row.row.id),
    })),
  );

/** The best other injector that fits, as a cure. */
function betterInjector(checked: FuelChecked, row: RowDesign): Cure<BuildCommand>[] {
  const better = checked.candidates
    .injectors()
    [row.row.id]?.find((c) => c.verdict === 'fits' && c.item.id !== row.injector.id);
  return better
    ? [
        {
          text: `Fit ${better.item.designation} instead`,
          command: { name: 'choose-injector', rowId: row.row.id, item: refOf(better.item) },
        },
      ]
    : [{ text: 'No injector in the catalogue fits; add one or change the target' }];
}

const duty: FuelRule = {
  id: 'injector.duty',
  partsDecide: true,
  source: 'duty limit of the chosen school; above 95 % an injector is static',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const worst = fluid.worstDuty;
      const limit = checked.document.limits.injectorDuty.value;
      if (!worst || worst.duty <= limit - 0.05) return [];
      const over = worst.duty > limit;
      return [
        {
          id: `injector.duty:${worst.row.row.id}`,
          rule: 'injector.duty',
          severity: over ? 'stop' : 'warn',
          where: { stage: 'injectors', row: worst.row.row.id },
          title: over ? 'Injector duty is above the limit' : 'Injector duty is close to the limit',
          because:
            'at {speed} and full design flow {item} stays open {duty} of the time; the limit is {limit}',
          numbers: {
            speed: { value: worst.point.speed, kind: 'rotation' },
            duty: { value: worst.duty, kind: 'ratio' },
            limit: { value: limit, kind: 'ratio' },
          },
          measured: { value: worst.duty, kind: 'ratio' },
          limit: { value: limit, kind: 'ratio' },
          worse: 'higher',
          rung: 'injector-duty',
          cures: () => betterInjector(checked, worst.row),
        },
      ].map((f) => ({
        ...f,
        because: f.because.replace('{item}', worst.row.injector.designation),
      })) as BuildFinding[];
    }),
};

const idlePulse: FuelRule = {
  id: 'injector.idle-pulse',
  source: 'smallest repeatable pulse: data sheet, default 0.4 ms effective and 1.3 ms total',
  check: (checked) =>
    rowsOf(checked).flatMap(({ row, scope, fluid }): BuildFinding[] => {
      if (rowMassFlow(row, fluid.cases.hotIdle.point) === 0) return [];
      const pulse = checked.results.find(fuelFigure('injector.pulse', { ...scope, at: 'idle' }));
      const effective = checked.results.find(
        fuelFigure('injector.effectivePulse', { ...scope, at: 'idle' }),
      );
      if (!pulse || !effective) return [];
      const { smallestPulse, smallestEffectivePulse } = row.injector;
      if (pulse.value >= smallestPulse && effective.value >= smallestEffectivePulse) return [];
      return [
        {
          id: `injector.idle-pulse:${row.row.id}`,
          rule: 'injector.idle-pulse',
          severity: 'warn',
          where: { stage: 'injectors', row: row.row.id },
          title: 'Injector is too large to idle',
          because:
            'the idle pulse is {pulse}, of which {effective} meters fuel; it is repeatable only above {least} and {leastEffective}',
          numbers: {
            pulse: { value: pulse.value, kind: 'time' },
            effective: { value: effective.value, kind: 'time' },
            least: { value: smallestPulse, kind: 'time' },
            leastEffective: { value: smallestEffectivePulse, kind: 'time' },
          },
          measured: { value: effective.value, kind: 'time' },
          limit: { value: smallestEffectivePulse, kind: 'time' },
          cures: () => betterInjector(checked, row),
        },
      ];
    }),
};

/** Current A that a saturated switch takes for good; sets the ballast. */
const BALLASTED_CURRENT = 1.5;

const driver: FuelRule = {
  id: 'injector.driver',
  source: 'the ECU driver must match the injector impedance',
  check: (checked) =>
    rowsOf(checked).flatMap(({ row }): BuildFinding[] => {
      const { injector } = row;
      if (injector.driver !== 'peak-hold' || checked.ecu.injectorDriver === 'peak-hold') return [];
      if (row.row.ballast !== null) return [];
      const running = checked.document.limits.voltageRunning.value;
      const ohm = Math.ceil((running / BALLASTED_CURRENT - injector.resistance) * 10) / 10;
      return [
        {
          id: `injector.driver:${row.row.id}`,
          rule: 'injector.driver',
          severity: 'stop',
          where: { stage: 'injectors', row: row.row.id },
          title: 'The ECU cannot drive these injectors',
          because: `${row.injector.designation} has {resistance} and needs peak-and-hold; ${checked.ecu.designation} has saturated switches`,
          numbers: { resistance: { value: injector.resistance, kind: 'resistance' } },
          cures: () => [
            ...betterInjector(checked, row),
            {
              text: `Put a ballast of ${ohm} Ω in series with each; they open more slowly`,
              command: {
                name: 'set',
                path: ['injectorRows', row.row.id, 'ballast'],
                value: { value: ohm, unit: 'Ω' },
              },
            },
          ],
        },
      ];
    }),
};

const outputs: FuelRule = {
  id: 'injector.outputs',
  source: 'sequential injection needs one output per injector',
  check(checked) {
    const needed = checked.document.injectorRows.reduce(
      (sum, row) => sum + (row.shotsPerCycle === 1 ? row.count : 1),
      0,
    );
    const { cylinders } = checked.document.brief;
    const findings: BuildFinding[] = [];
    if (needed > checked.ecu.injectorOutputs) {
      findings.push({
        id: 'injector.outputs',
        rule: 'injector.outputs',
        severity: 'stop',
        where: { stage: 'injectors' },
        title: 'Not enough injector outputs',
        because: `sequential injection needs {needed} outputs, ${checked.ecu.designation} has {present}`,
        numbers: {
          needed: { value: needed, kind: 'count' },
          present: { value: checked.ecu.injectorOutputs, kind: 'count' },
        },
        measured: { value: needed, kind: 'count' },
        limit: { value: checked.ecu.injectorOutputs, kind: 'count' },
        cures: () => [
          {
            text: 'Fire in batches, twice a cycle',
            command: {
              name: 'set-several',
              label: 'Fire injectors in batches',
              changes: checked.document.injectorRows.map((row) => ({
                path: ['injectorRows', row.id, 'shotsPerCycle'],
                value: 2,
              })),
            },
          },
        ],
      });
    }
    checked.document.injectorRows.forEach((row) => {
      if (row.count % cylinders === 0) return;
      findings.push({
        id: `injector.count:${row.id}`,
        rule: 'injector.outputs',
        severity: 'note',
        where: { stage: 'injectors', row: row.id },
        title: 'Injectors cannot be shared evenly by the cylinders',
        because: '{count} injectors for {cylinders} cylinders: correct only with throttle bodies',
        numbers: {
          count: { value: row.count, kind: 'count' },
          cylinders: { value: cylinders, kind: 'count' },
        },
        cures: () => [
          {
            text: 'One injector per cylinder',
            command: { name: 'set', path: ['injectorRows', row.id, 'count'], value: cylinders },
          },
        ],
      });
    });
    return findings;
  },
};

const airShare: FuelRule = {
  id: 'injector.air-share',
  source: 'the rows together fuel all of the engine’s air, no more and no less',
  check({ document }) {
    const rows = document.injectorRows;
    const total = rows.reduce((sum, row) => sum + row.airShare.value, 0);
    if (Math.abs(total - 1) <= 1e-3) return [];
    const missing = total < 1;
    return [
      {
        id: 'injector.air-share',
        rule: 'injector.air-share',
        severity: 'stop',
        where: { stage: 'injectors', row: firstOf(rows).id },
        title: missing
          ? 'Part of the engine’s air gets no fuel'
          : 'The rows fuel more than the air',
        because: missing
          ? 'the rows of this build fuel {total} of the air; the row for the other {rest}, with its circuit, is missing'
          : 'the shares of the rows add up to {total} of the air',
        numbers: {
          total: { value: total, kind: 'ratio' },
          rest: { value: Math.abs(1 - total), kind: 'ratio' },
        },
        measured: { value: total, kind: 'ratio' },
        limit: { value: 1, kind: 'ratio' },
        cures: () => [
          {
            text:
              rows.length === 1
                ? 'Fuel all of the air with this row'
                : 'Scale the shares to all of the air',
            command: {
              name: 'set-several',
              label: 'Fuel all of the air',
              changes: rows.map((row) => ({
                path: ['injectorRows', row.id, 'airShare'],
                value: { value: row.airShare.value / total, unit: '%' },
              })),
            },
          },
          ...(missing ? [{ text: 'Add the row that fuels the rest, with its own circuit' }] : []),
        ],
      },
    ];
  },
};

export const injectorRules = [airShare, duty, idlePulse, driver, outputs];
