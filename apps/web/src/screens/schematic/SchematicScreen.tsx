import type { InkOf, PlacedWire, SchematicSheet } from '@brookrain/core';
import { useCallback, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { light, useLit } from '../../build/lit.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Downloads } from '../../ui/Downloads.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Select } from '../../ui/Select.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { AlsoOn } from './AlsoOn.tsx';
import { SheetDrawing } from './SheetDrawing.tsx';
import { usePlacedSheet } from './usePlacedSheet.ts';

type By = 'system' | 'device';
const askAll: Question<null, readonly SchematicSheet[]> = (worker, document) =>
  worker.schematic(document);
const askOne: Question<string, SchematicSheet | undefined> = (worker, document, partId) =>
  worker.deviceSheet(document, partId);
const lead =
  'Drawn from the wiring, never by hand: by system, or one device with all that feeds it. What is picked here is lit on every other page.';

/** The ends of a wire as they stand on its sheet. */
function endsOf(sheet: SchematicSheet) {
  const at = new Map(
    sheet.blocks.flatMap(({ name, kind, pins }) =>
      pins.map((pin) => [pin.id, kind === 'box' ? `${name} ${pin.pin}` : name] as const),
    ),
  );
  return (id: string): string => at.get(id) ?? '';
}

const columnsFor = (sheet: SchematicSheet): readonly DataColumn<PlacedWire>[] => {
  const end = endsOf(sheet);
  return [
    {
      key: 'wire',
      label: 'Wire',
      text: true,
      shown: 'always',
      cell: ({ name }) => name,
      sortBy: ({ name }) => name,
    },
    {
      key: 'number',
      label: 'No.',
      cell: ({ label }) => label[0],
      sortBy: ({ label }) => Number(label[0]),
    },
    {
      key: 'from',
      label: 'From',
      text: true,
      cell: (w) => end(w.from),
      sortBy: (w) => end(w.from),
    },
    { key: 'to', label: 'To', text: true, cell: (w) => end(w.to), sortBy: (w) => end(w.to) },
    {
      key: 'role',
      label: 'Carries',
      text: true,
      wideOnly: true,
      cell: ({ role }) => role,
      sortBy: ({ role }) => role,
    },
    {
      key: 'made',
      label: 'Size and colour',
      text: true,
      cell: ({ label }) => label[1],
      sortBy: ({ label }) => label[1],
    },
  ];
};

const crossingsInWords = (crossings: number): string => {
  if (crossings === 0) return 'no wires cross';
  return crossings === 1 ? 'wires cross once' : `wires cross ${String(crossings)} times`;
};

/** The schematic: every wire of the vehicle on one sheet of its system, or a device by itself. */
export function SchematicScreen() {
  const { id, document: build } = useBuild();
  const lit = useLit();
  const [by, setBy] = useState<By>('system');
  const [asked, setAsked] = useState<string>();
  const devices = build.devices.filter(({ state }) => state !== 'removed');
  const device = devices.find((each) => each.id === lit.partId) ?? devices[0];
  const work = useWorkerAnswer(askAll, null);
  const { answer: sheets } = work;
  const { answer: own } = useWorkerAnswer(askOne, device?.id ?? '');
  // The sheet that shows what is lit, unless another was asked for.
  const shows = ({ wires, blocks }: SchematicSheet): boolean =>
    wires.some((wire) => wire.id === lit.wireId) ||
    blocks.some(
      ({ kind, partId, symbol }) =>
        kind === 'box' && symbol !== 'controller' && partId === lit.partId,
    );
  const sheet =
    by === 'device'
      ? own
      : (sheets?.find((each) => each.id === asked) ?? sheets?.find(shows) ?? sheets?.[0]);
  const { placed, failed } = usePlacedSheet(sheet);
  const pick = useCallback(
    (of: InkOf) => light(of.kind === 'wire' ? { wireId: of.id } : { partId: of.id }),
    [],
  );
  if (sheets?.length === 0) {
    return (
      <Screen title="Schematic" lead={lead}>
        <p className="text-second">No wire is drawn yet: put devices on the list first.</p>
      </Screen>
    );
  }
  return (
    <Screen title="Schematic" lead={lead} work={work}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <div className="flex flex-wrap items-center gap-2">
          <Tabs
            label="Drawn"
            value={by}
            choices={[
              { value: 'system', label: 'By system' },
              { value: 'device', label: 'By device' },
            ]}
            onChoose={setBy}
          />
          <Select
            name={by === 'system' ? 'Sheet' : 'Device'}
            className="w-64"
            value={by === 'system' ? (sheet?.id ?? '') : (device?.id ?? '')}
            choices={
              by === 'system'
                ? (sheets ?? []).map(({ id: value, title }) => ({ value, label: title }))
                : devices.map(({ id: value, name }) => ({ value, label: name }))
            }
            onChoose={(value) => (by === 'system' ? setAsked(value) : light({ partId: value }))}
          />
        </div>
        <div className="flex flex-wrap items-center gap-3">
          {by === 'system' && sheet && (
            <Downloads
              of="This sheet"
              file={`/api/builds/${encodeURIComponent(id)}/schematic/${sheet.id}`}
              kinds={['svg']}
            />
          )}
          <Downloads
            of="All, A4"
            file={`/api/builds/${encodeURIComponent(id)}/schematic`}
            kinds={['pdf']}
          />
        </div>
      </div>
      {failed !== undefined && <p role="alert">This sheet could not be laid out: {failed}</p>}
      {placed && (
        <>
          <div className="my-2 flex flex-wrap items-baseline justify-between gap-2">
            <p className="text-[13px] text-second">
              {placed.title}: {placed.wires.length} wires, {crossingsInWords(placed.crossings)}
            </p>
            <AlsoOn />
          </div>
          <SheetDrawing sheet={placed} lit={lit} pick={pick} />
          <h2 className="mt-4">Wires of this sheet</h2>
          <DataTable
            label="Wires of this sheet"
            rows={placed.wires}
            columns={columnsFor(placed)}
            keyOf={({ id: wireId }) => wireId}
            selected={lit.wireId}
            onSelect={(wireId) => light({ wireId })}
          />
        </>
      )}
    </Screen>
  );
}
