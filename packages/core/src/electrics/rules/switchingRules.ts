import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import type { StoredCondition } from '../slices/switching.ts';
import type { SwitchTableRow } from '../switching/index.ts';
import { isOnBy } from '../switching/conditions.ts';
import { stateIn } from '../switching/vehicleState.ts';
import { setting, where } from './switchPlace.ts';

/** Puts a condition to every way of a row that was entered. */
function withCondition(
  { switchingRows }: ElectricsChecked,
  row: SwitchTableRow,
  condition: StoredCondition,
  text: string,
): Cure<BuildCommand>[] {
  const stored = switchingRows.find(({ id }) => id === row.rowId);
  if (!stored) return [];
  return [
    {
      text,
      command: {
        name: 'set-several',
        label: text,
        changes: Object.entries(stored.ways).map(([wayId]) => ({
          path: ['switching', stored.id, 'ways', wayId, 'conditions', `added-${condition.kind}`],
          value: condition,
        })),
      },
    },
  ];
}

const LAST = 1e6;

const pumpStops: ElectricsRule = {
  id: 'switching.pump-stops',
  source: 'the pump stops when the engine stops',
  check: (checked) =>
    checked.switching.rows.flatMap((row): BuildFinding[] => {
      const isPump =
        row.of.loads.length > 0 && row.of.loads.every(({ part }) => part.sort === 'pump');
      if (!isPump || row.source !== 'entered' || !isOnBy(row.ways, stateIn.keyOn)) return [];
      return [
        {
          id: `switching.pump-stops:${row.key}`,
          rule: 'switching.pump-stops',
          severity: 'stop',
          where: where(row),
          title: 'Pump keeps running when the engine stops',
          because: `${row.of.name} is on in RUN whether the engine turns or not`,
          numbers: {},
          cures: () =>
            withCondition(
              checked,
              row,
              { kind: 'engine', order: LAST, state: 'turning' },
              'Run it only while the engine turns',
            ),
        },
      ];
    }),
};

const survivesCranking: ElectricsRule = {
  id: 'switching.dead-in-crank',
  source: 'ignition and injection have their feeds while cranking',
  check: (checked) =>
    checked.switching.rows.flatMap((row): BuildFinding[] => {
      const needed = row.of.loads.filter(
        ({ part, load }) => load.when === 'engine turning' && part.sort !== 'controller',
      );
      if (row.source !== 'entered' || needed.length === 0) return [];
      if (isOnBy(row.ways, stateIn.cranking) || !isOnBy(row.ways, stateIn.cruiseHot)) return [];
      return [
        {
          id: `switching.dead-in-crank:${row.key}`,
          rule: 'switching.dead-in-crank',
          severity: 'stop',
          where: where(row),
          title: 'Feed is off while cranking',
          because: `${row.of.name} is off while cranking; ${needed[0]?.part.name ?? ''} needs it to start`,
          numbers: {},
          cures: () => {
            const stored = checked.switchingRows.find(({ id }) => id === row.rowId);
            if (!stored) return [];
            return [
              {
                text: 'Switch it on in RUN and CRANK',
                command: setting(['switching', stored.id, 'ways', 'way-in-run'], {
                  order: LAST,
                  conditions: { 'in-run': { kind: 'key', order: 0, position: 'run' } },
                }),
              },
            ];
          },
        },
      ];
    }),
};

const wayText = (row: SwitchTableRow): string =>
  JSON.stringify(row.ways.map((way) => way.map(({ order: _, ...rest }) => rest)));

const sharedOutput: ElectricsRule = {
  id: 'switching.shared-output',
  source: 'everything on one output is on at the same time',
  check: ({ switching: { rows } }) => {
    const first = new Map<string, SwitchTableRow>();
    return rows.flatMap((row): BuildFinding[] => {
      if (row.of.command.by !== 'output' || row.source !== 'entered') return [];
      const { controllerId, pin, controllerName } = row.of.command.output;
      const key = `${controllerId} ${pin}`;
      const other = first.get(key);
      if (!other) first.set(key, row);
      if (!other || wayText(other) === wayText(row)) return [];
      return [
        {
          id: `switching.shared-output:${row.key}`,
          rule: 'switching.shared-output',
          severity: 'warn',
          where: where(row),
          title: 'One output is switched by two rows',
          because: `${row.of.name} and ${other.of.name} share ${pin} of ${controllerName}, but are on at different times`,
          numbers: {},
          cures: () =>
            row.rowId === undefined || other.rowId === undefined
              ? []
              : [
                  {
                    text: `Switch both with ${other.of.name}`,
                    command: { name: 'remove', path: ['switching', row.rowId] },
                  },
                ],
        },
      ];
    });
  },
};

/** Checks of when things are switched. */
export const switchingRules: readonly ElectricsRule[] = [pumpStops, survivesCranking, sharedOutput];
