import {
  type Condition,
  type SwitchLine,
  type SwitchRow,
  electricsFigure,
  waysInWords,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { newId } from '../../build/keptQueue.ts';
import { ActionMenu } from '../../ui/ActionMenu.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { ConditionFields, useSources } from './ConditionFields.tsx';
import { commandInWords } from './commandInWords.ts';
import { useConditionWords } from './useConditionWords.ts';

const STEP = 1000;
const shortId = (): string => newId().slice(0, 8);
const byOrder = <T extends { readonly order: number }>(entries: Readonly<Record<string, T>>) =>
  Object.entries(entries).sort(([, a], [, b]) => a.order - b.order);
const nextOrder = (entries: Readonly<Record<string, { readonly order: number }>>): number =>
  STEP + Math.max(0, ...Object.values(entries).map(({ order }) => order));
const celsius = (value: number) => ({ value, unit: '°C' });
const kilopascal = (value: number) => ({ value, unit: 'kPa' });

const kindWords: Readonly<Record<Condition['kind'], string>> = {
  key: 'Key',
  engine: 'Engine',
  temperature: 'Temperature',
  pressure: 'Pressure',
  input: 'Switch or button',
  signal: 'Wire found on the vehicle',
};

/** A condition that can be added, with what it starts from; kinds that the build has nothing for are left out. */
function useNewConditions() {
  const { document: build } = useBuild();
  const { temperature, pressure, input } = useSources();
  const opens = build.limits.thermostatOpens.value;
  return (order: number): readonly Condition[] => [
    { kind: 'key', order, position: 'run' },
    { kind: 'engine', order, state: 'turning' },
    ...temperature.slice(0, 1).map(({ id }): Condition => ({
      kind: 'temperature',
      order,
      deviceId: id,
      on: celsius(opens + 13),
      off: celsius(opens + 8),
    })),
    ...pressure.slice(0, 1).map(({ id }): Condition => ({
      kind: 'pressure',
      order,
      deviceId: id,
      on: kilopascal(150e3),
      off: kilopascal(100e3),
    })),
    ...input.slice(0, 1).map(({ id }): Condition => ({
      kind: 'input',
      order,
      deviceId: id,
      button: null,
      is: 'on',
    })),
    ...build.vehicleSignals.slice(0, 1).map(({ id }): Condition => ({
      kind: 'signal',
      order,
      signalId: id,
      is: 'on',
    })),
  ];
}

/** One way of a row: its conditions, all of which have to be so. */
function Way({
  row,
  wayId,
  first,
  switchKey,
}: {
  row: SwitchRow;
  wayId: string;
  first: boolean;
  switchKey: string;
}) {
  const { edit } = useBuild();
  const newConditions = useNewConditions();
  const path = ['switching', row.id, 'ways', wayId];
  const way = row.ways[wayId];
  if (!way) return null;
  const conditions = byOrder(way.conditions);
  const offered = newConditions(nextOrder(way.conditions));
  return (
    <fieldset className="rule mt-2 pt-2">
      <legend className="float-left w-full text-[13px] text-second">
        {first ? 'On when' : 'or when'}
        {conditions.length > 1 ? ' all of these hold' : ''}
      </legend>
      {conditions.length === 0 && <p className="clear-left">always</p>}
      {conditions.map(([id, condition]) => (
        <div key={id} className="clear-left mb-2 space-y-1 border-l-[3px] border-edge pl-2">
          <div className="flex items-center justify-between">
            <span className="font-medium">{kindWords[condition.kind]}</span>
            <button
              type="button"
              className="act"
              aria-label={`Remove ${kindWords[condition.kind].toLowerCase()}`}
              onClick={() => edit({ name: 'remove', path: [...path, 'conditions', id] })}
            >
              Remove
            </button>
          </div>
          <ConditionFields
            condition={condition}
            path={[...path, 'conditions', id]}
            band={electricsFigure('switch.band', {
              switch: switchKey,
              condition: `${wayId}-${id}`,
            })}
          />
        </div>
      ))}
      <div className="clear-left flex flex-wrap gap-2">
        <ActionMenu
          text="And …"
          name="Add a condition"
          actions={offered.map(({ kind }) => ({ value: kind, label: kindWords[kind] }))}
          onPick={(kind) =>
            edit({
              name: 'set',
              path: [...path, 'conditions', shortId()],
              value: offered.find((each) => each.kind === kind),
            })
          }
        />
        {!first && (
          <button type="button" className="act" onClick={() => edit({ name: 'remove', path })}>
            Remove this condition
          </button>
        )}
      </div>
    </fieldset>
  );
}

/** The ways as they are stored. */
const storedWays = (ways: SwitchLine['ways']) =>
  Object.fromEntries(
    ways.map((conditions, i) => [
      `way-${String(i + 1)}`,
      {
        order: STEP * (i + 1),
        conditions: Object.fromEntries(
          conditions.map((each, j) => [
            `condition-${String(j + 1)}`,
            { ...each, order: STEP * (j + 1) },
          ]),
        ),
      },
    ]),
  );

/** A row that was entered, with all that can be changed of it. */
function Entered({ row, switchKey }: { row: SwitchRow; switchKey: string }) {
  const { edit } = useBuild();
  const ways = byOrder(row.ways);
  return (
    <>
      {ways.map(([wayId], i) => (
        <Way key={wayId} row={row} wayId={wayId} first={i === 0} switchKey={switchKey} />
      ))}
      <div className="mt-2 flex flex-wrap gap-2">
        <button
          type="button"
          className="act"
          onClick={() =>
            edit({
              name: 'set',
              path: ['switching', row.id, 'ways', shortId()],
              value: {
                order: nextOrder(row.ways),
                conditions: { [shortId()]: { kind: 'key', order: STEP, position: 'run' } },
              },
            })
          }
        >
          Or when …
        </button>
        <button
          type="button"
          className="act"
          onClick={() => edit({ name: 'remove', path: ['switching', row.id] })}
        >
          As usual again
        </button>
      </div>
      <div className="rule mt-2 space-y-1.5 pt-2">
        <QuantityField path={['switching', row.id, 'prime']} />
        <QuantityField path={['switching', row.id, 'afterRun']} />
      </div>
    </>
  );
}

/** When one switch is on, to be changed. */
export function RowEditor({ line }: { line: SwitchLine }) {
  const { document: build, edit } = useBuild();
  const words = useConditionWords();
  const row = build.switching.find(({ id }) => id === line.rowId);
  return (
    <section aria-label="The switch that is looked at">
      <h2>{line.name}</h2>
      <p className="text-[13px] text-second">{commandInWords(line.command)}</p>
      <p className="text-[13px] text-second">Feeds {line.loads.join(', ') || 'nothing'}</p>
      {line.source === 'wired' && (
        <p className="mt-2">
          No controller drives its coil: it is on when the feed of the coil is. Wire the coil to an
          output to say more.
        </p>
      )}
      {line.source === 'taken' && (
        <>
          <p className="mt-2">On when {waysInWords(line.ways, words)}: usual for what it feeds.</p>
          <button
            type="button"
            className="act mt-1"
            onClick={() =>
              edit({
                name: 'set',
                path: ['switching', line.key.slice(0, 40)],
                value: {
                  order: nextOrder({}),
                  partId: line.partId,
                  pin: line.pin,
                  ways: storedWays(line.ways),
                  prime: { value: line.prime, unit: 's' },
                  afterRun: { value: line.afterRun, unit: 's' },
                },
              })
            }
          >
            Say when
          </button>
        </>
      )}
      {line.source === 'entered' && row && <Entered row={row} switchKey={line.key} />}
      <FigureRows
        title="From the battery while nothing charges"
        rows={[
          ['Prime draws', electricsFigure('switch.primeCharge', { switch: line.key })],
          ['After-run draws', electricsFigure('switch.afterRunCharge', { switch: line.key })],
        ]}
      />
    </section>
  );
}
