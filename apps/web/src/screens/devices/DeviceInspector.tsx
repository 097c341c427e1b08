import {
  type Device,
  type Path,
  electricCaseWords,
  electricCases,
  electricsFigure,
  newestOf,
  refOf,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { ConnectionField } from './ConnectionField.tsx';
import { ConnectorWays } from './ConnectorWays.tsx';
import { itemOf, partInWords, pinsOf } from './deviceWords.ts';
import { SeatOf } from './SeatOf.tsx';

const AUTO = 'auto';

/** Which fuse or relay it is; other devices of the same role. */
function PartField({ device }: { device: Device }) {
  const { catalogue, edit } = useBuild();
  const { part } = device;
  const path = ['devices', device.id, 'part', 'item'];
  if (part.kind === 'fuse') {
    const fuses = newestOf(catalogue, 'fuse');
    return (
      <ChoiceField
        wide
        label="Fuse"
        value={part.item?.id ?? AUTO}
        choices={[
          { value: AUTO, label: 'by the rules' },
          ...fuses.map(({ id, designation }) => ({ value: id, label: designation })),
        ]}
        onChoose={(id) => {
          const fuse = fuses.find((each) => each.id === id);
          edit({ name: 'set', path, value: fuse ? refOf(fuse) : null });
        }}
      />
    );
  }
  if (part.kind === 'injector' || part.kind === 'pump') return null;
  if (part.kind === 'cut-off') {
    const switches = newestOf(catalogue, 'device').filter(({ role }) => role === 'inertia switch');
    return (
      <ChoiceField
        wide
        label="Part"
        value=""
        choices={[
          { value: '', label: 'not chosen yet' },
          ...switches.map(({ id, designation }) => ({ value: id, label: designation })),
        ]}
        onChoose={(id) => {
          const item = switches.find((each) => each.id === id);
          if (!item) return;
          const value = { kind: 'item', item: refOf(item) };
          edit({ name: 'set', path: ['devices', device.id, 'part'], value });
        }}
      />
    );
  }
  const role = itemOf(device, catalogue)?.role;
  const items =
    part.kind === 'relay'
      ? newestOf(catalogue, 'relay')
      : newestOf(catalogue, 'device').filter((item) => item.role === role);
  return (
    <ChoiceField
      wide
      label="Part"
      value={part.item.id}
      choices={items.map(({ id, designation }) => ({ value: id, label: designation }))}
      onChoose={(id) => {
        const item = items.find((each) => each.id === id);
        if (item) edit({ name: 'set', path, value: refOf(item) });
      }}
    />
  );
}

/** Which cylinder a coil fires. */
function CylinderField({ device }: { device: Device }) {
  const { document: build, edit } = useBuild();
  const path = ['devices', device.id, 'cylinder'];
  return (
    <ChoiceField
      label="Cylinder"
      value={device.cylinder === null ? '' : `${device.cylinder}`}
      choices={[
        { value: '', label: 'not said' },
        ...Array.from({ length: build.brief.cylinders }, (_, i) => ({
          value: `${i + 1}`,
          label: `${i + 1}`,
        })),
      ]}
      onChoose={(value) => edit({ name: 'set', path, value: value === '' ? null : Number(value) })}
    />
  );
}

/** Where else a device's name stands: a pump and its device are one thing. */
const alsoNamed = ({ part }: Device): readonly Path[] =>
  part.kind === 'pump'
    ? [['fuelCircuits', part.circuitId, 'elements', part.elementId, 'name']]
    : [];

/** One device: what it is, where it sits, where its pins lead, what it gets. */
export function DeviceInspector({ device }: { device: Device }) {
  const { document: build, catalogue, evaluation, edit } = useBuild();
  const path = ['devices', device.id];
  const findings = evaluation.findings.filter(
    ({ where }) => 'device' in where && where.device === device.id,
  );
  const item = itemOf(device, catalogue);
  return (
    <>
      <h2>{device.name}</h2>
      <p className="text-[13px] text-second">{partInWords(device, build, catalogue)}</p>
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
      <div className="mt-2 space-y-1.5">
        <TextField path={[...path, 'name']} alsoAt={alsoNamed(device)} />
        <PartField device={device} />
        {device.part.kind === 'fuse' && <FieldOf path={[...path, 'positionLimit']} />}
        {device.part.kind === 'injector' && <FieldOf path={[...path, 'part', 'cylinder']} />}
        {item?.role === 'ignition coil' && <CylinderField device={device} />}
        <FieldOf path={[...path, 'state']} />
        {device.state === 'removed' && <FieldOf path={[...path, 'replacedBy']} />}
        <ChoiceField
          wide
          label="Sits at"
          value={device.placementId}
          choices={build.placements.map(({ id, name }) => ({ value: id, label: name }))}
          onChoose={(value) => edit({ name: 'set', path: [...path, 'placementId'], value })}
        />
        <FieldOf path={[...path, 'loadedTogether']} />
      </div>
      {item?.role === 'connector' ? (
        <ConnectorWays device={device} />
      ) : (
        <section className="rule mt-3 pt-2" aria-label="Pins">
          <h3>Its pins go to</h3>
          <ul className="space-y-1">
            {pinsOf(device, catalogue).map((pin) => (
              <li key={pin.id}>
                <span className="text-[13px] text-second">
                  {pin.id.toLowerCase() === pin.name.toLowerCase()
                    ? pin.name
                    : `${pin.id}, ${pin.name}`}
                </span>
                <ConnectionField device={device} pin={pin} />
              </li>
            ))}
          </ul>
        </section>
      )}
      <FigureRows
        title="Voltage at its pins"
        rows={[
          ...electricCases.map(
            (each) =>
              [
                electricCaseWords[each],
                electricsFigure('voltage', { device: device.id, case: each }),
              ] as const,
          ),
          ['Fuse', electricsFigure('fuse.deviceRating', { device: device.id })],
          ['Error from its ground', electricsFigure('sensorError', { device: device.id })],
        ]}
      />
      {item && <SeatOf device={device} item={item} />}
      <button
        type="button"
        className="act mt-3"
        onClick={() => edit({ name: 'remove-device', deviceId: device.id })}
      >
        Remove it from the list
      </button>
    </>
  );
}
