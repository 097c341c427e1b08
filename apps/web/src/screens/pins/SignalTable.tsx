import { type ControllerSignal, type PinSheet, capabilityOf, formatMeasure } from '@brookrain/core';
import { useMemo } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Select } from '../../ui/Select.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { useUnits } from '../../ui/preferences.ts';

/** Signals of a controller with the pin of each; chosen by hand, and settled where it must stay. */
export function SignalTable({ sheet }: { sheet: PinSheet }) {
  const { edit } = useBuild();
  const [units] = useUnits();
  const columns = useMemo((): readonly DataColumn<ControllerSignal>[] => {
    const fit = ({ need }: ControllerSignal) =>
      sheet.pins.filter(({ pin }) => pin.capabilities.includes(need.capability));
    const assign = (signal: ControllerSignal, pin: string): void => {
      edit({
        name: 'assign-pins',
        controllerId: sheet.controllerId,
        devices: { [signal.partId]: { [signal.pin]: pin } },
      });
    };
    return [
      {
        key: 'signal',
        label: 'Signal',
        text: true,
        shown: 'always',
        sortBy: ({ need }) => need.name,
        cell: ({ need }) => need.name,
      },
      {
        key: 'asks',
        label: 'Needs',
        text: true,
        wideOnly: true,
        sortBy: ({ need }) => need.capability,
        cell: ({ need }) => capabilityOf(need.capability).words,
      },
      {
        key: 'current',
        label: 'Takes',
        wideOnly: true,
        sortBy: ({ need }) => need.current,
        cell: ({ need }) =>
          need.current > 0 ? formatMeasure({ value: need.current, kind: 'current' }, units) : '–',
      },
      {
        key: 'pin',
        label: 'Pin',
        text: true,
        sortBy: ({ assigned }) => assigned,
        cell: (signal) => (
          <Select
            name={`Pin of ${signal.need.name}`}
            value={signal.assigned}
            choices={[
              // Left to the unit, it is on that one: there is no such thing as none.
              ...(signal.usual === '' ? [{ value: '', label: 'none yet' }] : []),
              ...fit(signal).map(({ pin, signals }) => ({
                value: pin.id,
                label: `${pin.id}${pin.id === signal.usual ? ', its own output' : ''}${signals.length > 0 && !signals.includes(signal.id) ? ', taken' : ''}`,
              })),
              ...(signal.assigned !== '' &&
              !fit(signal).some(({ pin }) => pin.id === signal.assigned)
                ? [{ value: signal.assigned, label: `${signal.assigned}, cannot do it` }]
                : []),
            ]}
            onChoose={(pin) => assign(signal, pin)}
          />
        ),
      },
      {
        key: 'settled',
        label: 'Settled',
        text: true,
        cell: (signal) =>
          signal.assigned !== '' ? (
            <Tick
              wordless
              checked={signal.locked}
              onChange={(locked) =>
                edit({
                  name: 'connect-pin',
                  owner: { kind: 'device', id: signal.partId },
                  pin: signal.pin,
                  connection: {
                    to: 'controller',
                    controllerId: sheet.controllerId,
                    pin: signal.assigned,
                    locked,
                  },
                })
              }
            >
              {`${signal.need.name} stays on ${signal.assigned}`}
            </Tick>
          ) : null,
      },
    ];
  }, [sheet, edit, units]);
  return (
    <DataTable
      label={`Signals of ${sheet.name}`}
      rows={sheet.signals}
      columns={columns}
      keyOf={({ id }) => id}
    />
  );
}
