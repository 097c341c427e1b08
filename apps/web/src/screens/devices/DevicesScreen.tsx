import { type Device, type DeviceState, type Severity, deviceStates } from '@brookrain/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { worstBy } from '../../build/worstBy.ts';
import { light, useLit } from '../../build/lit.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { SeverityMark } from '../../ui/SeverityMark.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { AddDevice } from './AddDevice.tsx';
import { Buses } from './Buses.tsx';
import { DeviceInspector } from './DeviceInspector.tsx';
import { DeviceStrip } from './DeviceStrip.tsx';
import { FoundWires } from './FoundWires.tsx';
import { itemOf, connectionInWords, partInWords } from './deviceWords.ts';

type Shown = DeviceState | 'all';
const severityOrder: Readonly<Record<Severity, number>> = { stop: 0, warn: 1, note: 2 };

/** Every device of the conversion: what is new, what stays, what goes, and how each is wired. */
export function DevicesScreen() {
  const { document: build, catalogue, evaluation } = useBuild();
  const [query, setQuery] = useSearchParams();
  const [shown, setShown] = useState<Shown>('all');
  const lit = useLit();
  const asked = query.get('of') ?? lit.partId;
  const selected = build.devices.find(({ id }) => id === asked) ?? build.devices[0];
  const isConnector = selected !== undefined && itemOf(selected, catalogue)?.role === 'connector';
  const findings = evaluation.findings.filter(({ where }) => where.stage === 'devices');
  const trouble = useMemo(
    () =>
      worstBy(evaluation.findings, (where) =>
        where.stage === 'devices' && 'device' in where ? where.device : undefined,
      ),
    [evaluation.findings],
  );
  const select = (id: string): void => {
    light({ partId: id });
    setQuery({ of: id }, { replace: true });
  };
  const places = useMemo(
    () => new Map(build.placements.map(({ id, name }) => [id, name])),
    [build.placements],
  );
  const columns = useMemo(
    (): readonly DataColumn<Device>[] => [
      {
        key: 'name',
        label: 'Device',
        text: true,
        shown: 'always',
        sortBy: ({ name }) => name,
        cell: ({ name }) => name,
      },
      {
        key: 'part',
        label: 'Part',
        text: true,
        sortBy: (device) => partInWords(device, build, catalogue),
        cell: (device) => partInWords(device, build, catalogue),
      },
      {
        key: 'state',
        label: 'State',
        text: true,
        sortBy: ({ state }) => state,
        cell: ({ state }) => ({ new: 'new', kept: 'stays', removed: 'goes' })[state],
      },
      {
        key: 'place',
        label: 'Sits at',
        text: true,
        wideOnly: true,
        sortBy: ({ placementId }) => places.get(placementId) ?? '',
        cell: ({ placementId }) => places.get(placementId) ?? '',
      },
      {
        key: 'first',
        label: 'First pin goes to',
        text: true,
        wideOnly: true,
        shown: false,
        cell: ({ connections }) =>
          connectionInWords(Object.values(connections)[0], build, catalogue),
      },
      {
        key: 'wires',
        label: 'Wires',
        sortBy: ({ connections }) => Object.keys(connections).length,
        cell: ({ connections }) => Object.keys(connections).length,
      },
      {
        key: 'judged',
        label: 'Found',
        text: true,
        sortBy: ({ id }) => severityOrder[trouble.get(id) ?? 'note'] + (trouble.has(id) ? 0 : 1),
        cell: ({ id }) => {
          const severity = trouble.get(id);
          return severity ? (
            <SeverityMark severity={severity} worded />
          ) : (
            <span className="text-moss">✓</span>
          );
        },
      },
    ],
    [build, catalogue, places, trouble],
  );
  const rows = build.devices.filter(({ state }) => shown === 'all' || state === shown);
  const count = (state: DeviceState): number =>
    build.devices.filter((device) => device.state === state).length;
  return (
    <Screen
      title="Devices"
      lead="Every sensor, actuator, relay and fuse: what is new, kept or removed, and where each pin goes."
      inspector={
        <>
          {selected && <DeviceInspector key={selected.id} device={selected} />}
          <AddDevice added={select} />
          <Cautions place="wiring" />
        </>
      }
    >
      {/* A connector is no end of anything: what leads through it stands beside the list. */}
      {selected && !isConnector && <DeviceStrip deviceId={selected.id} name={selected.name} />}
      <Tabs
        label="Devices shown"
        value={shown}
        choices={[
          { value: 'all', label: `All ${build.devices.length}` },
          ...deviceStates.map((state) => ({
            value: state,
            label: `${{ new: 'New', kept: 'Kept', removed: 'Removed' }[state]} ${count(state)}`,
          })),
        ]}
        onChoose={setShown}
      />
      {build.devices.length === 0 ? (
        <p className="mt-2 text-second">
          No device is on the list yet. The pumps with their relays and fuses are under Pump wiring;
          add the rest here.
        </p>
      ) : (
        <DataTable
          label="Devices"
          rows={rows}
          columns={columns}
          keyOf={({ id }) => id}
          selected={selected?.id}
          onSelect={select}
        />
      )}
      <FoundWires />
      <Buses />
      {findings.length > 0 && (
        <section className="mt-4 max-w-[640px]" aria-label="Its findings">
          <h2>Its findings</h2>
          {findings.map((finding) => (
            <FindingNote key={finding.id} finding={finding} />
          ))}
        </section>
      )}
    </Screen>
  );
}
