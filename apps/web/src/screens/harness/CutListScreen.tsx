import { type ToldWire, cutTo, entryAt, formatMeasure, wireCutTo } from '@brookrain/core';
import { useMemo, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { light, useLit } from '../../build/lit.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Downloads } from '../../ui/Downloads.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { Tabs } from '../../ui/Tabs.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { CutAtVehicle } from './CutAtVehicle.tsx';
import { Reels } from './Reels.tsx';
import { WireSwatch } from './WireSwatch.tsx';

type Row = ToldWire & {
  /** as on labels, lists and the schematic */
  readonly number: number;
  readonly length: number;
  readonly known: number;
  readonly colour: string;
  readonly via: string;
  readonly made: 'to cut' | 'cut' | 'bought';
};

const asCut = (length: number) => wireCutTo({ value: cutTo(length), unit: 'mm' });

/** Every wire as it is cut: size, colour, length, from and to, and the segments that it runs through. */
export function CutListScreen() {
  const { id, document: build, stored, evaluation, edit } = useBuild();
  const [units] = useUnits();
  const { wireId } = useLit();
  const [view, setView] = useState<'wires' | 'reels'>('wires');
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
      number: i + 1,
      length: entryAt(wireFigures.length, i),
      known: entryAt(harness.uncertainty, i),
      colour: entryAt(harness.colours, i),
      made: entryAt(harness.made, i),
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
      {
        key: 'number',
        label: 'No.',
        sortBy: ({ number }) => number,
        cell: ({ number }) => number,
      },
      {
        key: 'made',
        label: 'Cut',
        sortBy: ({ made }) => made,
        cell: ({ id: wire, name, made, length }) =>
          made === 'bought' ? (
            <span className="text-second">bought</span>
          ) : (
            <Tick
              wordless
              checked={made === 'cut'}
              onChange={(cut) => {
                edit({
                  name: 'mark-cut',
                  wireId: wire,
                  wireName: name,
                  cut: cut ? asCut(length) : null,
                });
              }}
            >
              {name} is cut
            </Tick>
          ),
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
    [units, edit],
  );
  const open = rows.filter(({ made }) => made === 'to cut');
  const numbers = useMemo(() => new Set(rows.map(({ id: wire }) => wire)), [rows]);
  return (
    <Screen
      title="Cut list"
      lead="Every wire at its cut length: along its segments, with allowances for ends, breakouts and loops, rounded up to 10 mm."
    >
      <div className="mb-2 flex flex-wrap items-center justify-between gap-2">
        <Downloads of="" file={`/api/builds/${id}/cut-list`} kinds={['csv', 'pdf']} />
        <Downloads of="Reels" file={`/api/builds/${id}/reels`} kinds={['csv']} />
        <span className="text-[13px] text-second">
          {open.length} of {rows.length} still to cut. A wire that is cut keeps its length, whatever
          is moved.
        </span>
        <button
          type="button"
          className="act"
          disabled={open.length === 0}
          onClick={() => {
            const lengths = open.map(({ id: wire, length }) => [wire, asCut(length)]);
            const value = { ...stored.harness.cut, ...Object.fromEntries(lengths) };
            edit({ name: 'set', path: ['harness', 'cut'], value });
          }}
        >
          All are cut
        </button>
      </div>
      <CutAtVehicle wires={numbers} />
      <Tabs
        label="What is shown"
        value={view}
        choices={[
          { value: 'wires', label: 'Wires' },
          { value: 'reels', label: 'From the reels' },
        ]}
        onChoose={setView}
      />
      {view === 'reels' ? (
        <Reels />
      ) : (
        <DataTable
          label="Wires"
          rows={rows}
          columns={columns}
          keyOf={(row) => row.id}
          selected={wireId}
          onSelect={(key) => light({ wireId: key })}
        />
      )}
    </Screen>
  );
}
