import type { Limits } from '../../model/index.ts';
import { type Result, byDefault, derive, entered, following } from '../../results/index.ts';
import { electricsFigure } from '../figureNames.ts';
import type { Netlist } from '../netlist/netlist.ts';
import type { Build } from '../../model/index.ts';
import * as f from './formulas.ts';
import { type SwitchTable, type SwitchTableRow, switchTable } from './switchTable.ts';

/** When everything is on, with its figures. */
export interface Switching extends SwitchTable {
  readonly results: readonly Result[];
}

/** Bands between on and off of what was entered. */
function bands(row: Build['switching'][number], key: string): Result[] {
  return Object.entries(row.ways).flatMap(([wayId, { conditions }]) =>
    Object.entries(conditions).flatMap(([id, condition]): Result[] => {
      if (condition.kind !== 'temperature' && condition.kind !== 'pressure') return [];
      const path = ['switching', row.id, 'ways', wayId, 'conditions', id];
      return [
        derive({
          figure: electricsFigure('switch.band', { switch: key, condition: `${wayId}-${id}` }),
          label: `Band between on and off, ${condition.kind}`,
          formula: condition.kind === 'temperature' ? f.temperatureBand : f.pressureBand,
          inputs: {
            on: entered(condition.on, [...path, 'on']),
            off: entered(condition.off, [...path, 'off']),
          },
        }),
      ];
    }),
  );
}

/** What a switch takes from the battery while the engine stands. */
function charges({ key, current, of, rowId, prime, afterRun }: SwitchTableRow): Result[] {
  const taken = (
    figure: 'switch.primeCharge' | 'switch.afterRunCharge',
    time: 'prime' | 'afterRun',
    seconds: number,
  ): Result[] =>
    seconds > 0 && current > 0
      ? [
          derive({
            figure: electricsFigure(figure, { switch: key }),
            label: `${of.name}: charge of ${time === 'prime' ? 'the prime' : 'the after-run'}`,
            formula: f.chargeTaken,
            inputs: {
              current: following(current, ['devices']),
              time:
                rowId === undefined
                  ? byDefault(seconds, 'usual for a pump')
                  : entered(seconds, ['switching', rowId, time]),
            },
          }),
        ]
      : [];
  return [
    ...taken('switch.primeCharge', 'prime', prime),
    ...taken('switch.afterRunCharge', 'afterRun', afterRun),
  ];
}

/** When everything that is switched is on, and what that comes to. */
export function switchingStage(input: {
  readonly netlist: Netlist;
  readonly switching: Build['switching'];
  readonly limits: Pick<Limits, 'thermostatOpens'>;
}): Switching {
  const { netlist, switching, limits } = input;
  const table = switchTable({
    netlist,
    switching,
    thermostatOpens: limits.thermostatOpens.value,
  });
  const rowsById = new Map(switching.map((row) => [row.id, row]));
  return {
    ...table,
    results: table.rows.flatMap((row) => {
      const stored = row.source === 'entered' ? rowsById.get(row.rowId ?? '') : undefined;
      return [...(stored ? bands(stored, row.key) : []), ...charges(row)];
    }),
  };
}
