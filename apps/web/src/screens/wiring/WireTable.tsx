import { type SizedWire, type Severity, formatMeasure, terminalText } from '@brookrain/core';
import { useMemo } from 'react';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { SeverityMark } from '../../ui/SeverityMark.tsx';
import { useUnits } from '../../ui/preferences.ts';

const order: Readonly<Record<Severity, number>> = { stop: 0, warn: 1, note: 2 };

/** Every wire of the pump feeds with what it carries; the one picked is looked at closely. */
export function WireTable({
  wires,
  troubled,
  selected,
  select,
}: {
  wires: readonly SizedWire[];
  troubled: ReadonlyMap<string, Severity>;
  selected: string;
  select: (wireId: string) => void;
}) {
  const [units] = useUnits();
  const columns = useMemo((): readonly DataColumn<SizedWire>[] => {
    const state = ({ wire }: SizedWire): Severity | undefined => troubled.get(wire.id);
    return [
      {
        key: 'wire',
        label: 'Wire',
        text: true,
        shown: 'always',
        sortBy: (w) => w.wire.name,
        cell: (w) => w.wire.name,
      },
      {
        key: 'from',
        label: 'From',
        text: true,
        shown: false,
        sortBy: (w) => terminalText(w.wire.from.terminal),
        cell: (w) => terminalText(w.wire.from.terminal),
      },
      {
        key: 'to',
        label: 'To',
        text: true,
        shown: false,
        sortBy: (w) => terminalText(w.wire.to.terminal),
        cell: (w) => terminalText(w.wire.to.terminal),
      },
      {
        key: 'size',
        label: 'Size',
        sortBy: (w) => w.size.area,
        cell: (w) => `${w.size.size}${w.chosenByHand ? ', by hand' : ''}`,
      },
      {
        key: 'length',
        label: 'Length',
        sortBy: (w) => w.task.length,
        cell: (w) => formatMeasure({ value: w.task.length, kind: 'length' }, units),
      },
      {
        key: 'current',
        wideOnly: true,
        label: 'Current',
        sortBy: (w) => w.task.load,
        cell: (w) => formatMeasure({ value: w.task.load, kind: 'current' }, units),
      },
      {
        key: 'carries',
        label: 'May carry',
        shown: false,
        sortBy: (w) => w.ampacity,
        cell: (w) => formatMeasure({ value: w.ampacity, kind: 'current' }, units),
      },
      {
        key: 'drop',
        wideOnly: true,
        label: 'Drop',
        sortBy: (w) => w.drop,
        cell: (w) => formatMeasure({ value: w.drop, kind: 'voltage' }, units),
      },
      {
        key: 'temperature',
        wideOnly: true,
        label: 'Gets',
        sortBy: (w) => w.temperature,
        cell: (w) => formatMeasure({ value: w.temperature, kind: 'temperature' }, units),
      },
      {
        key: 'fuse',
        label: 'Fuse',
        shown: false,
        sortBy: (w) => w.task.protection?.rating ?? 0,
        cell: (w) =>
          w.task.protection
            ? formatMeasure({ value: w.task.protection.rating, kind: 'current' }, units)
            : '–',
      },
      {
        key: 'state',
        label: 'State',
        text: true,
        sortBy: (w) => order[state(w) ?? 'note'] + (state(w) ? 0 : 1),
        cell: (w) => {
          const severity = state(w);
          return severity ? (
            <SeverityMark severity={severity} worded />
          ) : (
            <span className="text-moss">✓ passes</span>
          );
        },
      },
    ];
  }, [units, troubled]);
  return (
    <DataTable
      label="Wires of the pump feeds"
      rows={wires}
      columns={columns}
      keyOf={(w) => w.wire.id}
      selected={selected}
      onSelect={select}
    />
  );
}
