import { type ToldWire, entryAt, formatMeasure } from '@brookrain/core';
import { useMemo } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { light, useLit } from '../../build/lit.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Downloads } from '../../ui/Downloads.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { WireSwatch } from './WireSwatch.tsx';

type Row = ToldWire & {
  readonly length: number;
  readonly known: number;
  readonly colour: string;
  readonly via: string;
};

/** Every wire as it is cut: size, colour, length, from and to, and the segments that it runs through. */
export function CutListScreen() {
  const { id, document: build, evaluation } = useBuild();
  const [units] = useUnits();
  const { wireId } = useLit();
  const { wires, wireFigures, harness } = evaluation;
  const rows = useMemo(() => {
    const names = new Map(build.harness.segments.map((segment) => [segment.id, segment.name]));
    const via = (at: number): string =>
      entryAt(harness.ways, at)
        .map((segment) => names.get(entryAt(harness.bundles, segment).segmentId) ?? '')
        .join(', ');
    const unled = new Set(harness.unled);
    return wires.map((wire, i): Row => ({
      ...wire,
      length: entryAt(wireFigures.length, i),
      known: entryAt(harness.uncertainty, i),
      colour: entryAt(harness.colours, i),
      via: via(i) || (unled.has(wire.id) ? 'no way yet' : 'by itself'),
    }));
  }, [wires, wireFigures, harness, build.harness.segments]);
  const columns = useMemo(
    (): readonly DataColumn<Row>[] => [
      {
        key: 'wire',
        label: 'Wire',
        text: true,
        shown: 'always',
        sortBy: ({ name }) => name,
        cell: ({ name }) => name,
      },
      { key: 'size', label: 'Size', sortBy: ({ area }) => area, cell: ({ size }) => size },
      {
        key: 'colour',
        label: 'Colour',
        text: true,
        sortBy: ({ colour }) => colour,
        cell: ({ colour }) => <WireSwatch colour={colour} />,
      },
      {
        key: 'length',
        label: 'Cut to',
        sortBy: ({ length }) => length,
        cell: ({ length }) => formatMeasure({ value: length, kind: 'length' }, units),
      },
      {
        key: 'known',
        label: 'Known to ±',
        sortBy: ({ known }) => known,
        cell: ({ known }) =>
          known > 0 ? formatMeasure({ value: known, kind: 'length' }, units, 2) : '–',
      },
      {
        key: 'from',
        label: 'From',
        text: true,
        wideOnly: true,
        sortBy: (r) => r.from,
        cell: (r) => r.from,
      },
      {
        key: 'to',
        label: 'To',
        text: true,
        wideOnly: true,
        sortBy: (r) => r.to,
        cell: (r) => r.to,
      },
      {
        key: 'via',
        label: 'Through',
        text: true,
        wideOnly: true,
        sortBy: (r) => r.via,
        cell: ({ via }) => via,
      },
    ],
    [units],
  );
  return (
    <Screen
      title="Cut list"
      lead="Every wire as it is cut: along its segments, with what its ends, breakouts and loops take, rounded up to 10 mm."
    >
      <div className="mb-2">
        <Downloads of="" file={`/api/builds/${id}/cut-list`} kinds={['csv', 'pdf']} />
      </div>
      <DataTable
        label="Wires"
        rows={rows}
        columns={columns}
        keyOf={(row) => row.id}
        selected={wireId}
        onSelect={(key) => light({ wireId: key })}
      />
    </Screen>
  );
}
